import { Circle, G, Line, Text as SvgText } from 'react-native-svg';
import { outlineOf } from '../../core/join/outline';
import { pinWord, topPin } from '../../core/join/pins';
import type { Join } from '../../core/join/joined';
import { roundCount } from '../../core/fabric/fabric';
import { sewnEdgeOf } from '../../core/join/placing';
import type { FabricMap } from '../../core/shape/map';
import type { PartAnalysis } from '../../core/toy/analyse';
import { joinPart } from '../../core/toy/joinAll';
import { useToy } from '../../data/useToy';
import { palette } from '../../ui/palette';
import { stitchMiddle } from './mapPaths';

/** Farther apart than so many stitches, two of a footprint lie on both sides of the cut at the back. */
const cutFrom = 4;

/** Ways to sew along a line, from one end to the other. */
const alongLine: ReadonlySet<Join['kind']> = new Set(['flattened', 'pinched', 'by-row']);

interface Spot {
  x: number;
  y: number;
}

interface MapJoinsProps {
  part: PartAnalysis;
  map: FabricMap;
  scale: number;
}

/** What is joined onto this part: every stitch that is sewn to or worked through, and the name of what goes there. */
export function MapJoins({ part, map, scale }: MapJoinsProps) {
  const { analysis } = useToy();
  const { widthMm } = part.map.gauge;
  const { joins: sewn, workedOn } = analysis.joined;
  const joins = [...sewn, ...workedOn].filter(({ on }) => on.part === part.source.id);
  return (
    <G>
      {joins.map((join) => {
        const spots = coveredBy(join, part).map((stitch) => stitchMiddle(map.points, stitch));
        const isClosed = join.path !== null && !alongLine.has(join.kind);
        return (
          <G key={`${join.unit.part} ${join.unit.unit}`}>
            {spots.map((from, i) => {
              const to = spots[i + 1] ?? (isClosed ? spots[0] : undefined);
              const isNear = to && Math.hypot(to.x - from.x, to.y - from.y) < widthMm * cutFrom;
              return isNear ? (
                <Line
                  key={`l${i}`}
                  x1={from.x}
                  y1={from.y}
                  x2={to.x}
                  y2={to.y}
                  stroke={palette.thread}
                  strokeWidth={2.5 / scale}
                  strokeDasharray={`${5 / scale} ${3 / scale}`}
                />
              ) : null;
            })}
            {spots.map(({ x, y }, i) => (
              <Circle
                key={`s${i}`}
                cx={x}
                cy={y}
                r={Math.max(widthMm * 0.2, 2 / scale)}
                fill={palette.thread}
                stroke={palette.ink}
                strokeWidth={1 / scale}
              />
            ))}
            <Label words={join.unit.name} at={nameSpot(spots, widthMm)} scale={scale} />
          </G>
        );
      })}
      <OwnEdge part={part} map={map} scale={scale} />
    </G>
  );
}

/** So many units have their pins on the map of their part; more would stand over each other. */
const mostUnits = 2;

/** The stitch of this part that each stitch of its sewn edge is, or lies at, by index. */
function ownStitches({ kind, through, sentence }: Join, part: PartAnalysis): (edge: number) => number {
  const { fabric } = part;
  const piece = joinPart(part);
  const first = (row: number) => fabric.offset[row - 1] ?? 0;
  if (kind === 'outline') {
    const outline = outlineOf(piece);
    return (edge) => {
      const { row = 1, stitch = 1 } = outline[edge - 1] ?? {};
      return first(row) + stitch - 1;
    };
  }
  if (kind === 'by-row')
    return (edge) => first(sentence.sewnBy === 'first row' ? 1 : fabric.rounds) + edge - 1;
  const row = through !== null ? sewnEdgeOf({ piece, sentence }).round : fabric.rounds;
  return (edge) => first(row) + edge - 1;
}

/** Which stitches of this part's own edge are pinned, and on which side of the spot each lies; of a pair the uppermost of each. */
function OwnEdge({ part, map, scale }: MapJoinsProps) {
  const { analysis } = useToy();
  const joins = analysis.joined.joins.filter(({ unit, path }) => unit.part === part.source.id && path);
  return (
    <G>
      {joins.slice(0, mostUnits).map((join, level) => {
        const wall = analysis.parts.find(({ source }) => source.id === join.on.part);
        if (!wall) return null;
        const stitchOf = ownStitches(join, part);
        const pins = join.pins ?? [];
        const uppermost = topPin(joinPart(wall), pins) ?? pins[0];
        const pinned = pins.flatMap((pin) => {
          const sewn = join.path?.find((one) => one.row === pin.row && one.stitch === pin.stitch);
          const isShown = joins.length === 1 || pin === uppermost;
          return sewn && isShown ? [{ edge: sewn.edge, word: pinWord(joinPart(wall), pin.at) }] : [];
        });
        const aside = (part.map.start === 'top' ? -1 : 1) * (18 + level * 18);
        return (
          <G key={join.unit.unit}>
            {pinned.map(({ edge, word }) => {
              const { x, y } = stitchMiddle(map.points, stitchOf(edge));
              return (
                <G key={word}>
                  <Circle
                    cx={x}
                    cy={y}
                    r={4 / scale}
                    fill={palette.chosen}
                    stroke={palette.mat}
                    strokeWidth={1 / scale}
                  />
                  <Label
                    words={joins.length > 1 && join.unit.side ? `${join.unit.side}: ${word}` : word}
                    at={{ x, y: y + aside / scale }}
                    scale={scale}
                  />
                </G>
              );
            })}
          </G>
        );
      })}
    </G>
  );
}

/** The stitches of a wall that a join takes, by their index, in the order of the needle or of the round. */
function coveredBy({ path, ledger, covers, row }: Join, { fabric }: PartAnalysis): number[] {
  const indexOf = (of: number, stitch: number): number[] => {
    const isThere = stitch >= 1 && stitch <= roundCount(fabric, of);
    return isThere ? [(fabric.offset[of - 1] ?? 0) + Math.floor(stitch) - 1] : [];
  };
  if (path) return path.flatMap((sewn) => indexOf(sewn.row, sewn.stitch));
  if (!ledger || !covers || row === null) return [];
  const count = roundCount(fabric, row);
  const [first, last] = covers.stitches;
  const length = ((((last - first) % count) + count) % count) + 1;
  return Array.from({ length }, (_, k) => indexOf(row, ((first - 1 + k) % count) + 1)).flat();
}

/** Where the name stands: in the middle of what lies together, on the side of the cut where more of it is. */
function nameSpot(spots: readonly Spot[], widthMm: number): Spot | null {
  const [first] = spots;
  if (!first) return null;
  const span = Math.max(...spots.map(({ x }) => x)) - Math.min(...spots.map(({ x }) => x));
  const middle = (some: readonly Spot[]): Spot => ({
    x: some.reduce((sum, { x }) => sum + x, 0) / some.length,
    y: some.reduce((sum, { y }) => sum + y, 0) / some.length,
  });
  const steps = spots.slice(1).map(({ x }, i) => Math.abs(x - (spots[i]?.x ?? x)));
  const isCut = span > widthMm * cutFrom && steps.some((step) => step > widthMm * cutFrom);
  if (!isCut) return middle(spots);
  const all = middle(spots);
  const right = spots.filter(({ x }) => x > all.x);
  const left = spots.filter(({ x }) => x <= all.x);
  return middle(right.length > left.length ? right : left);
}

/** A word over the stitches, in an edge of the mat. */
function Label({ words, at, scale }: { words: string; at: Spot | null; scale: number }) {
  if (!at) return null;
  const lettering = {
    x: at.x,
    y: at.y + 5 / scale,
    fontSize: 14 / scale,
    fontFamily: 'AtkinsonHyperlegibleNext_700Bold',
    textAnchor: 'middle' as const,
  };
  return (
    <G>
      <SvgText
        {...lettering}
        fill={palette.mat}
        stroke={palette.mat}
        strokeWidth={4 / scale}
        strokeLinejoin="round"
      >
        {words}
      </SvgText>
      <SvgText {...lettering} fill={palette.thread}>
        {words}
      </SvgText>
    </G>
  );
}
