import { proxy, wrap, type Remote } from 'comlink';
import type { FormInput } from '../core/shape/form/relaxation';
import type { RelaxedForm } from '../core/shape/form/relaxForm';
import type { Relaxer } from './relaxWorker';

let remote: Remote<Relaxer> | null = null;
let wishes = 0;

/**
 * Relaxes a part off the main thread.
 *
 * @param show receives the form while it settles
 * @param signal gives the wish up
 * @returns the form at rest; null where it was given up
 */
export async function relaxInWorker(input: FormInput, show: (form: RelaxedForm) => void, signal: AbortSignal): Promise<RelaxedForm | null> {
  remote ??= wrap<Relaxer>(new Worker(new URL('./relaxWorker', window.location.href)));
  const worker = remote;
  wishes += 1;
  const wish = wishes;
  let done = false;
  signal.addEventListener('abort', () => { if (!done) void worker.giveUp(wish); }, { once: true });
  try {
    return await worker.relax(wish, input, proxy((form: RelaxedForm) => { if (!signal.aborted) show(form); }));
  } finally {
    done = true;
  }
}
