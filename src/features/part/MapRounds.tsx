import { t } from '../../core/words/language';
import { G, Path, Text as SvgText } from 'react-native-svg';
import { palette } from '../../ui/palette';
import { wrapAngle } from '../../core/shape/azimuth';
import { mapPoint } from '../../core/shape/map';
import type { PartAnalysis } from '../../core/toy/analyse';

/** Row numbers, every fifth and those beside the lines of holes in hand, at the edge of the panel. */
export function RoundNumbers({
  part,
  lines,
  active,
  corner,
  scale,
}: {
  part: PartAnalysis;
  lines: Float64Array;
  active: readonly number[];
  corner: { x: number; y: number };
  scale: number;
}) {
  const { fabric, map } = part;
  // The two rounds beside such a line: which way each number steps aside, so that the two stand clear of each other.
  const near = new Map(
    active.flatMap(
      (line) =>
        [
          [line, -5],
          [line + 1, 5],
        ] as [number, number][],
    ),
  );
  const shown = Array.from({ length: fabric.rounds }, (_, i) => i + 1).filter((round) => {
    if (near.has(round)) return true;
    if ([...near.keys()].some((other) => Math.abs(other - round) < 2)) return false;
    return round === 1 || round === fabric.rounds || (round % 5 === 0 && fabric.rounds - round > 1);
  });
  const ends = map.start === 'top' ? [t`start`, t`end`] : [t`end`, t`start`];
  // Along the left edge; of a part that lies, whose rounds run upright, along the lower one.
  const whole = fabric.rounds * map.gauge.heightMm;
  const endWords = {
    fill: palette.thread,
    fontSize: 14 / scale,
    fontFamily: 'AtkinsonHyperlegibleNext_400Regular',
  };
  return (
    <G>
      {shown.map((round) => {
        const aside = ((near.get(round) ?? 0) * (map.start === 'top' ? 1 : -1)) / scale;
        const middle = ((lines[round] ?? 0) + (lines[round - 1] ?? 0)) / 2;
        const at = map.lying
          ? { x: middle + aside, y: corner.y, textAnchor: 'middle' as const }
          : { x: corner.x, y: middle + 5 / scale + aside };
        const words = { ...at, fontSize: 15 / scale, fontFamily: 'AtkinsonHyperlegibleNext_700Bold' };
        return (
          <G key={round}>
            <SvgText
              {...words}
              fill={palette.mat}
              stroke={palette.mat}
              strokeWidth={5 / scale}
              strokeLinejoin="round"
            >
              {fabric.label[round - 1]}
            </SvgText>
            <SvgText {...words} fill={near.has(round) ? palette.marker : palette.thread}>
              {fabric.label[round - 1]}
            </SvgText>
          </G>
        );
      })}
      {map.lying ? (
        <>
          <SvgText {...endWords} x={-whole / 2 - 5 / scale} y={corner.y} textAnchor="end">
            {ends[0]}
          </SvgText>
          <SvgText {...endWords} x={whole / 2 + 5 / scale} y={corner.y}>
            {ends[1]}
          </SvgText>
        </>
      ) : (
        <>
          <SvgText {...endWords} x={6 / scale} y={-5 / scale}>
            {ends[0]}
          </SvgText>
          <SvgText {...endWords} x={6 / scale} y={whole + 16 / scale}>
            {ends[1]}
          </SvgText>
        </>
      )}
    </G>
  );
}

/** Where each round begins: a bar between two stitches, wandering as the spiral leans. */
export function RoundStarts({ part }: { part: PartAnalysis }) {
  const { map } = part;
  const h = map.gauge.heightMm;
  let d = '';
  for (let round = 1; round <= part.fabric.rounds; round += 1) {
    if (part.fabric.row[round - 1] === 1) continue;
    const angle = wrapAngle((part.starts[round - 1] ?? 0) - map.front);
    const foot = mapPoint(map, round - 1, map.front + angle);
    // The bar stands by the round it begins, which may be wider than the line it stands on.
    const at = mapPoint(map, round, map.front + angle);
    const on = (map.start === 'top' ? h : -h) * 0.9;
    d += map.lying
      ? `M${foot.x.toFixed(1)} ${at.y.toFixed(1)}h${on.toFixed(1)}`
      : `M${at.x.toFixed(1)} ${foot.y.toFixed(1)}v${on.toFixed(1)}`;
  }
  return <Path d={d} stroke={palette.chosen} strokeWidth={map.gauge.widthMm * 0.16} />;
}
