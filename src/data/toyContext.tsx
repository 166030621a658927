import { createContext, type ReactNode } from 'react';
import type { PartAnalysis, ToyAnalysis } from '../core/toy/analyse';
import type { ToyEditor } from './toyEditor';

/** What is computed of a toy. */
export interface AnalysedToy {
  analysis: ToyAnalysis;
  /** the id of a part that outlives its name and its place in the text */
  idOf: (part: PartAnalysis) => string;
}

/** A toy that can be read and changed. */
export interface OpenedToy {
  editor: ToyEditor;
  analysed: AnalysedToy;
}

export const EditorContext = createContext<ToyEditor | null>(null);
export const AnalysisContext = createContext<AnalysedToy | null>(null);

/** An open toy for all screens below; there is none until it is read. */
export const ToyContext = ({ open, children }: { open: OpenedToy | null; children: ReactNode }) => (
  <EditorContext value={open?.editor ?? null}>
    <AnalysisContext value={open?.analysed ?? null}>{children}</AnalysisContext>
  </EditorContext>
);
