import { t } from '../words/language';
import type { Fabric } from '../fabric/fabric';
import { roundCount } from '../fabric/fabric';

/** How to find on the piece itself which round is being worked: marks that can be seen or felt, and how many rounds lie above each. */
export function whereWasI(fabric: Fabric, round: number): string[] {
  const label = (index: number) => fabric.label[index - 1] ?? index;
  const count = (index: number) => (index > 0 ? roundCount(fabric, index) : 0);
  const lines: string[] = [];
  const above = (index: number) => round - 1 - index;
  const rounds = (n: number) =>
    n === 0 ? t`no whole round` : n === 1 ? t`one whole round` : t`${n} whole rounds`;
  const put = (index: number, what: string) =>
    lines.push(
      t`${what} is round ${label(index)}. Above it you find ${rounds(above(index))} before the one you are in, round ${label(round)}.`,
    );
  const lastChange = (grows: boolean) => {
    for (let index = round - 1; index > 1; index -= 1) {
      const change = count(index) - count(index - 1);
      if (grows ? change > 0 : change < 0) return index;
    }
    return 0;
  };
  const [grown, shrunk] = [lastChange(true), lastChange(false)];
  if (grown > shrunk) put(grown, t`The last round with increases, where two stitches stand in one,`);
  if (shrunk > grown) put(shrunk, t`The last round with decreases, where two are drawn into one,`);
  for (let index = round - 1; index > 1; index -= 1) {
    const first = fabric.offset[index - 1] ?? 0;
    if (fabric.colour[first] === fabric.colour[first - 1]) continue;
    put(index, t`The first round in ${fabric.palette[fabric.colour[first] ?? 0] ?? t`the new colour`}`);
    break;
  }
  if (round <= 8 || lines.length === 0) {
    const done = round - 1;
    lines.push(
      done === 0
        ? t`You are in the very first round.`
        : t`From the start on you find ${rounds(done)}: count the rings out from the middle.`,
    );
  }
  return lines;
}
