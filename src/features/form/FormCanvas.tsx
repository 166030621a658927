import { useEffect, useRef, useState, type RefObject } from 'react';
import type { Side } from '../../core/shape/form/sight';
import type { DrawnForm } from './drawnForm';
import type { FormScene, ViewFrom } from './scene/formScene';

type Drawing = typeof import('./scene');

export interface FormCanvasHandle {
  look: (side: Side) => void;
  zoom: (by: number) => void;
  follow: (from: ViewFrom) => void;
  /** the form as a file, as soon as it is drawn; null if it can't be */
  save: (kind: 'png' | 'glb' | 'obj') => Promise<Blob | null>;
}

interface FormCanvasProps {
  label: string;
  drawn: DrawnForm;
  cut: boolean;
  still: boolean;
  handleRef: RefObject<FormCanvasHandle | null>;
  onPick: (stitch: number | null) => void;
  onTurn?: (from: ViewFrom) => void;
  /** the machine can't draw it after all, or lost its drawing meanwhile */
  onFail: (lost: boolean) => void;
}

const turns: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The form in three dimensions on a canvas. The drawing library comes when it is first needed. */
export function FormCanvas({ label, drawn, cut, still, handleRef, onPick, onTurn, onFail }: FormCanvasProps) {
  const canvas = useRef<HTMLCanvasElement | null>(null);
  const [scene, setScene] = useState<FormScene | null>(null);
  const drawing = useRef<Drawing | null>(null);
  /** who asked for a file before there was anything to save */
  const waiting = useRef<((scene: FormScene | null) => void)[]>([]);
  const calls = useRef({ onPick, onTurn, onFail });
  useEffect(() => {
    calls.current = { onPick, onTurn, onFail };
  });

  useEffect(() => {
    let gone = false;
    let made: FormScene | null = null;
    const asked = waiting.current;
    // One way in for everything that draws: two would put the library into what every page loads.
    import('./scene')
      .then((loaded) => {
        if (gone || !canvas.current) return;
        drawing.current = loaded;
        made = new loaded.FormScene(canvas.current, {
          still,
          onPick: (stitch) => calls.current.onPick(stitch),
          onTurn: (from) => calls.current.onTurn?.(from),
          onLost: () => calls.current.onFail(true),
        });
        setScene(made);
      })
      .catch(() => {
        if (!gone) calls.current.onFail(false);
      });
    return () => {
      gone = true;
      made?.dispose();
      setScene(null);
      for (const answer of asked.splice(0)) answer(null);
    };
  }, [still]);

  useEffect(() => {
    const element = canvas.current?.parentElement;
    if (!scene || !element) return undefined;
    const fit = () => scene.resize(element.clientWidth, element.clientHeight);
    const observer = new ResizeObserver(fit);
    observer.observe(element);
    fit();
    return () => observer.disconnect();
  }, [scene]);

  const shown = useRef(false);
  useEffect(() => {
    shown.current = false;
  }, [scene]);
  useEffect(() => {
    if (!scene) return;
    scene.show(drawn, !shown.current);
    shown.current = true;
    for (const answer of waiting.current.splice(0)) answer(scene);
  }, [scene, drawn]);
  useEffect(() => {
    scene?.setCut(cut);
  }, [scene, cut]);
  useEffect(() => {
    handleRef.current = {
      look: (side) => scene?.look(side),
      zoom: (by) => scene?.zoom(by),
      follow: (from) => scene?.follow(from),
      save: async (kind) => {
        const ready =
          scene ??
          (await new Promise<FormScene | null>((resolve) => {
            waiting.current.push(resolve);
          }));
        if (!ready || !drawing.current) return null;
        return kind === 'png'
          ? ready.snapshot()
          : kind === 'glb'
            ? drawing.current.formAsGlb(ready)
            : drawing.current.formAsObj(ready);
      },
    };
    return () => {
      handleRef.current = null;
    };
  }, [scene, handleRef]);

  return (
    <canvas
      ref={canvas}
      role="img"
      tabIndex={0}
      aria-label={label}
      data-ready={scene ? 'yes' : 'no'}
      style={{ width: '100%', height: '100%', display: 'block', touchAction: 'none' }}
      onKeyDown={(event) => {
        const turn = turns[event.key];
        if (turn) {
          event.preventDefault();
          scene?.turn((turn[0] * Math.PI) / 12, (turn[1] * Math.PI) / 12);
        } else if (event.key === '+' || event.key === '=') scene?.zoom(1.2);
        else if (event.key === '-') scene?.zoom(1 / 1.2);
      }}
    />
  );
}
