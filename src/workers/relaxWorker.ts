import { expose } from 'comlink';
import { Relaxation, type FormInput } from '../core/shape/form/relaxation';
import { formSoFar, type RelaxedForm } from '../core/shape/form/relaxForm';

const stepsAtOnce = 6;
const showEveryMs = 90;
const givenUp = new Set<number>();

const breathe = () =>
  new Promise((resolve) => {
    setTimeout(resolve, 0);
  });

/** Relaxes parts a few steps at a time, so that wishes given up are heard in between. */
const relaxer = {
  /**
   * @param wish its number, to give it up by
   * @param show receives the form while it settles
   * @returns the form at rest, or null where it was given up
   */
  async relax(
    wish: number,
    input: FormInput,
    show: (form: RelaxedForm) => void,
  ): Promise<RelaxedForm | null> {
    const relaxation = new Relaxation(input);
    let shown = Date.now();
    while (!relaxation.resting) {
      relaxation.run(stepsAtOnce);
      await breathe();
      if (givenUp.delete(wish)) return null;
      if (!relaxation.resting && Date.now() - shown > showEveryMs) {
        show(formSoFar(relaxation, input.gauge.widthMm));
        shown = Date.now();
      }
    }
    return formSoFar(relaxation, input.gauge.widthMm);
  },
  giveUp(wish: number): void {
    givenUp.add(wish);
  },
};

export type Relaxer = typeof relaxer;
expose(relaxer);
