import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useContext, useEffect, useLayoutEffect, useMemo, type ReactNode } from 'react';
import { useStore } from 'zustand';
import type { PartAnalysis } from '../core/toy/analyse';
import { lastingId } from '../core/keep/partIds';
import { plannedForHands } from '../core/toy/planToy';
import { abandonedDrafts, holdOpening } from './drafts';
import { useHands } from './hands';
import { onChangeElsewhere } from './otherTabs';
import { shelf } from './shelf';
import { AnalysisContext, EditorContext, type AnalysedToy, type OpenedToy } from './toyContext';
import { createToyEditor, type SaveState, type ToyEditor } from './toyEditor';
import { useAnalysis } from './useAnalysis';
import { shelfKey, toyQueryKey } from './useShelf';
import { usePace } from './pace';
import { useYarnUse } from './yarnUse';

interface OpenToy extends AnalysedToy {
  editor: ToyEditor;
  text: string;
  save: SaveState;
  canUndo: boolean;
  canRedo: boolean;
}

interface ToyOpenerProps {
  id: string;
  /** gives the toy to the screens, and takes it back; it keeps being the same function */
  onOpen: (open: OpenedToy | null) => void;
  missing: ReactNode;
  /** what stands there until the toy is read */
  opening: ReactNode;
  failed: (reason: Error, retry: () => void) => ReactNode;
}

async function openToy(id: string) {
  const [stored, history, drafts] = await Promise.all([
    shelf.read(id),
    shelf.history(id),
    abandonedDrafts(id),
  ]);
  return stored && { stored, history, drafts };
}

/** Opens a toy, and keeps it open. What it shows stands there until it is: then there is nothing to see of it. */
export function ToyOpener({ id, onOpen, missing, opening, failed }: ToyOpenerProps) {
  const client = useQueryClient();
  const { data, error, refetch, isPending } = useQuery({
    queryKey: toyQueryKey(id),
    queryFn: () => openToy(id),
    staleTime: Infinity,
    gcTime: 0,
    retry: false,
  });
  const editor = useMemo(() => (data ? createToyEditor(data.stored, data) : null), [data]);
  useEffect(() => {
    if (!editor) return undefined;
    const release = holdOpening(editor.opening);
    const stop = onChangeElsewhere((changed) => {
      if (changed === id) void editor.elsewhere();
    });
    // Leaving the page must not lose the last word.
    const leave = () => void editor.flush();
    const comeBack = () => {
      if (document.visibilityState === 'visible') void editor.elsewhere();
    };
    window.addEventListener('pagehide', leave);
    document.addEventListener('visibilitychange', leave);
    document.addEventListener('visibilitychange', comeBack);
    return () => {
      stop();
      window.removeEventListener('pagehide', leave);
      document.removeEventListener('visibilitychange', leave);
      document.removeEventListener('visibilitychange', comeBack);
      void editor.close().then(() => {
        release();
        client.removeQueries({ queryKey: toyQueryKey(id) });
        return client.invalidateQueries({ queryKey: shelfKey });
      });
    };
  }, [editor, id, client]);
  if (error) return failed(error, () => void refetch());
  if (isPending) return opening;
  if (data === null) return missing;
  if (!editor || editor.id !== id) return opening;
  return <Analysed editor={editor} onOpen={onOpen} />;
}

/** Analyses the open toy once for all that look at it. */
function Analysed({ editor, onOpen }: { editor: ToyEditor } & Pick<ToyOpenerProps, 'onOpen'>) {
  const text = useStore(editor.store, (state) => state.text);
  const read = useAnalysis(text);
  const { hands } = useHands();
  const { yarnUse } = useYarnUse();
  const { own, pace } = usePace();
  const analysis = useMemo(() => {
    const planned = plannedForHands(read, hands);
    return yarnUse === 1 && own === null ? planned : { ...planned, yarnUse, pace };
  }, [read, hands, yarnUse, own, pace]);
  const analysed = useMemo(() => {
    const known = editor.knowParts(analysis.pattern.parts);
    return { analysis, idOf: ({ source }: PartAnalysis) => lastingId(known, source) };
  }, [editor, analysis]);
  // Before anything is drawn: what is typed and what follows from it are seen together.
  useLayoutEffect(() => onOpen({ editor, analysed }), [onOpen, editor, analysed]);
  useLayoutEffect(() => () => onOpen(null), [onOpen]);
  return null;
}

/** The open toy without what is computed of it: for where that may be what is broken. */
export function useToyText(): Omit<OpenToy, 'analysis' | 'idOf'> {
  const editor = useContext(EditorContext);
  if (!editor) throw new Error('useToyText needs an open toy above it.');
  const text = useStore(editor.store, (state) => state.text);
  const save = useStore(editor.status, (state) => state.save);
  const canUndo = useStore(editor.store.temporal, (state) => state.pastStates.length > 0);
  const canRedo = useStore(editor.store.temporal, (state) => state.futureStates.length > 0);
  return { editor, text, save, canUndo, canRedo };
}

/** The toy opened above, analysed. The analysis follows the typing without holding it up. */
export function useToy(): OpenToy {
  const open = useToyText();
  const analysed = useContext(AnalysisContext);
  if (!analysed) throw new Error('useToy needs an open toy above it.');
  return { ...open, ...analysed };
}
