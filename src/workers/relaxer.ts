import { proxy, wrap, type Remote } from 'comlink';
import type { FormInput } from '../core/shape/form/relaxation';
import type { RelaxedForm } from '../core/shape/form/relaxForm';
import type { Relaxer } from './relaxWorker';

/** Why a form was not worked out to its end. */
export class RelaxError extends Error {
  constructor(readonly why: 'not-started' | 'broke' | 'too-long') {
    super(why);
  }
}

interface Running {
  worker: Worker;
  remote: Remote<Relaxer>;
  /** fails once the worker breaks or can't be loaded */
  broken: Promise<never>;
}

/** Without a sign of life for so long it will not come: a worker that can't be loaded says nothing at all in some browsers. */
const startWithinMs = 15_000;
/** A form that does not rest by then shows how far it came. */
const restWithinMs = 60_000;

let running: Running | null = null;
let wishes = 0;

function start(): Running {
  const worker = new Worker(new URL('./relaxWorker', window.location.href));
  const broken = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => reject(new RelaxError('broke')));
    worker.addEventListener('messageerror', () => reject(new RelaxError('broke')));
  });
  // Nobody may be waiting just then.
  broken.catch(() => undefined);
  return { worker, remote: wrap<Relaxer>(worker), broken };
}

/** Ends a worker that is of no more use; the next wish starts a new one. */
function end(ended: Running): void {
  ended.worker.terminate();
  if (running === ended) running = null;
}

/**
 * Relaxes a part off the main thread.
 *
 * @param show receives the form while it settles
 * @param signal gives the wish up
 * @returns the form at rest; null where it was given up
 * @throws RelaxError where the worker can't be started, breaks, or takes too long; the next wish begins with a new one
 */
export async function relaxInWorker(
  input: FormInput,
  show: (form: RelaxedForm) => void,
  signal: AbortSignal,
): Promise<RelaxedForm | null> {
  running ??= start();
  const used = running;
  wishes += 1;
  const wish = wishes;
  let done = false;
  let alive = false;
  signal.addEventListener(
    'abort',
    () => {
      if (!done) void used.remote.giveUp(wish);
    },
    { once: true },
  );
  const timers: ReturnType<typeof setTimeout>[] = [];
  const after = (ms: number, why: RelaxError['why'], unless: () => boolean) =>
    new Promise<never>((_, reject) => {
      timers.push(
        setTimeout(() => {
          if (!unless()) reject(new RelaxError(why));
        }, ms),
      );
    });
  try {
    const work = used.remote.relax(
      wish,
      input,
      proxy((form: RelaxedForm) => {
        alive = true;
        if (!signal.aborted) show(form);
      }),
    );
    return await Promise.race([
      work,
      used.broken,
      after(startWithinMs, 'not-started', () => alive),
      after(restWithinMs, 'too-long', () => false),
    ]);
  } catch (reason) {
    end(used);
    // What the worker itself threw comes back as a plain error.
    throw reason instanceof RelaxError ? reason : new RelaxError('broke');
  } finally {
    done = true;
    for (const timer of timers) clearTimeout(timer);
  }
}
