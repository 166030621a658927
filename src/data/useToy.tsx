import { useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, useContext, useDeferredValue, useEffect, useMemo, type ReactNode } from 'react';
import { useStore } from 'zustand';
import { analyseToy, type ToyAnalysis } from '../core/toy/analyse';
import { onChangeElsewhere } from './otherTabs';
import { shelf } from './shelf';
import { createToyEditor, type SaveState, type ToyEditor } from './toyEditor';
import { shelfKey, toyQueryKey } from './useShelf';

interface OpenToy {
  editor: ToyEditor;
  text: string;
  analysis: ToyAnalysis;
  save: SaveState;
  canUndo: boolean;
  canRedo: boolean;
}

const ToyContext = createContext<ToyEditor | null>(null);

/** Opens a toy for all screens below it. */
export function ToyProvider({ id, children, missing, failed }: { id: string; children: ReactNode; missing: ReactNode; failed: (message: string, retry: () => void) => ReactNode }) {
  const client = useQueryClient();
  const { data, error, refetch, isPending } = useQuery({ queryKey: toyQueryKey(id), queryFn: () => shelf.read(id), staleTime: Infinity, gcTime: 0 });
  const editor = useMemo(() => (data ? createToyEditor(data) : null), [data]);
  useEffect(() => {
    if (!editor) return undefined;
    const stop = onChangeElsewhere((changed) => { if (changed === id) void editor.elsewhere(); });
    // Leaving the page must not lose the last word.
    const leave = () => void editor.flush();
    window.addEventListener('pagehide', leave);
    document.addEventListener('visibilitychange', leave);
    return () => {
      stop();
      window.removeEventListener('pagehide', leave);
      document.removeEventListener('visibilitychange', leave);
      void editor.flush().then(() => {
        client.removeQueries({ queryKey: toyQueryKey(id) });
        return client.invalidateQueries({ queryKey: shelfKey });
      });
    };
  }, [editor, id, client]);
  if (error) return failed(error.message, () => void refetch());
  if (isPending) return null;
  if (data === null) return missing;
  if (!editor || editor.id !== id) return null;
  return <ToyContext.Provider value={editor}>{children}</ToyContext.Provider>;
}

/** The toy opened above, analysed. The analysis follows the typing without holding it up. */
export function useToy(): OpenToy {
  const editor = useContext(ToyContext);
  if (!editor) throw new Error('useToy needs a ToyProvider above it.');
  const text = useStore(editor.store, (state) => state.text);
  const save = useStore(editor.status, (state) => state.save);
  const canUndo = useStore(editor.store.temporal, (state) => state.pastStates.length > 0);
  const canRedo = useStore(editor.store.temporal, (state) => state.futureStates.length > 0);
  const settled = useDeferredValue(text);
  const analysis = useMemo(() => analyseToy(settled), [settled]);
  return { editor, text, analysis, save, canUndo, canRedo };
}
