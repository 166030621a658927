import type { Task } from '../make/tasks';
import { gatherTechnique, seamTechnique, techniquesOf, type Technique } from '../make/techniques';
import type { ToyAnalysis } from './analysis';
import { hasSeam, schoolWords } from './seams';
import { schoolSaid, slipsSaid } from './planPart';

/** How what is to be done now is done: a round, an end that is drawn together, a part that is sewn on. */
export function techniquesOfTask(toy: ToyAnalysis, task: Task): Technique[] {
  const { parts, joined, pattern } = toy;
  const part = parts.find(({ source }) => source.id === task.unit.part);
  if (!part) return [];
  if (task.kind === 'round') return techniquesOf(part.fabric, task.round, pattern.terms.value);
  if (task.kind === 'stop') {
    const isDrawnTogether =
      part.stops.closing?.how === 'gather' && task.acts.some(({ act }) => act === 'close');
    return isDrawnTogether
      ? [gatherTechnique(part.fabric, schoolSaid(part.source), slipsSaid(part.source))]
      : [];
  }
  const join = joined.joins.find(({ unit }) => unit.part === task.unit.part && unit.unit === task.unit.unit);
  const wall = parts.find(({ source }) => source.id === join?.on.part);
  const isSewn = task.do === 'sew' && join && wall && hasSeam(join);
  const way = join ? schoolWords(join, toy) : null;
  const seam = isSewn && way ? seamTechnique(join, { piece: part.fabric, wall: wall.fabric, way }) : null;
  return seam ? [seam] : [];
}
