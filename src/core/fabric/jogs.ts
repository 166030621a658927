import type { Fabric } from './fabric';

/**
 * Rounds (by the maker's numbers) whose colour changes right at their start. In a spiral the new colour then stands one round higher
 * there than beside it: a jog. A joined round closes level and shows its seam instead.
 */
export function colourJogs(fabric: Fabric): number[] {
  const found: number[] = [];
  for (let round = 1; round < fabric.rounds; round += 1) {
    const first = fabric.offset[round] ?? 0;
    const below = fabric.offset[round - 1] ?? 0;
    if (fabric.row[round] === 1 || fabric.joined[round] === 1 || first === (fabric.offset[round + 1] ?? 0))
      continue;
    if (fabric.colour[first] !== fabric.colour[below] && fabric.colour[first] !== fabric.colour[first - 1])
      found.push(fabric.label[round] ?? round + 1);
  }
  return found;
}
