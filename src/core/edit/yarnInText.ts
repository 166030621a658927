import { gaugeOfYarn, leanOfYarn, type Yarn } from '../supplies/yarn';
import { setToyHeader } from '../notation/editText';

const figure = (value: number) => String(Math.round(value * 100) / 100);

/** Works a toy in a yarn: its gauge, its lean and its hook are written into the text's header lines, with the yarn's name. */
export function putYarn(text: string, yarn: Yarn): string {
  const { widthMm, heightMm, assumed } = gaugeOfYarn(yarn);
  const gauge = `${figure(widthMm)} mm x ${figure(heightMm)} mm, ${yarn.name}${assumed ? ', assumed' : ''}`;
  const hooked = setToyHeader(text, 'Hook', `${figure(yarn.hookMm)} mm`);
  // The usual lean needs no line: it is what is taken where none is said.
  const leaning = setToyHeader(hooked, 'Lean', yarn.wandered === null ? '' : figure(leanOfYarn(yarn)));
  return setToyHeader(leaning, 'Gauge', gauge);
}
