import { useMemo } from 'react';
import Svg, { Circle, G, Path, Rect } from 'react-native-svg';
import { frontPoint, frontView } from '../core/shape/frontView';
import { featureColour } from '../core/place/features/library';
import { inflate } from '../core/shape/inflate';
import type { MapView } from '../core/shape/map';
import type { PartAnalysis, ToyAnalysis } from '../core/toy/analyse';
import { needsOutline, yarnColour } from '../core/supplies/yarnColour';

const mat = '#0F4A45';

/** The part as it looks when it is stuffed. */
function stuffedView({ map, stops }: PartAnalysis): MapView {
  const stuffed = stops.stops.some((stop) => stop.acts.some(({ act }) => act === 'stuff'));
  return stuffed ? { ...map, profile: inflate(map.fabric, map.profile, map.gauge, stops.closing?.how !== 'open') } : map;
}

function partPaths(view: MapView): { strokes: Map<number, string>; width: number; height: number } {
  const { strokes, colour, width, height } = frontView(view);
  const paths = new Map<number, string>();
  for (let i = 0; i < colour.length; i += 1) {
    const tint = colour[i] ?? 0;
    const [x1, y1, x2, y2] = strokes.slice(i * 4, i * 4 + 4);
    paths.set(tint, `${paths.get(tint) ?? ''}M${x1?.toFixed(1)} ${y1?.toFixed(1)}L${x2?.toFixed(1)} ${y2?.toFixed(1)}`);
  }
  return { strokes: paths, width, height };
}

/** A small picture of a toy, computed from its largest part: the side that faces forward, on the mat. */
export function ToyPicture({ toy, size }: { toy: ToyAnalysis; size: number }) {
  const part = useMemo(() => {
    const built = toy.parts.filter((candidate) => candidate.fabric.rounds > 0);
    return built.sort((a, b) => b.fabric.kind.length - a.fabric.kind.length)[0];
  }, [toy]);
  const view = useMemo(() => (part ? stuffedView(part) : null), [part]);
  const drawn = useMemo(() => (view ? partPaths(view) : null), [view]);
  const name = toy.pattern.header.name ?? 'toy';
  if (!part || !drawn || !view) {
    return <Svg width={size} height={size} viewBox="0 0 10 10" role="img" aria-label={`${name}: no rounds yet`}><Rect width={10} height={10} rx={1.4} fill={mat} /></Svg>;
  }
  const extent = Math.max(drawn.width, drawn.height) * 1.1 + part.map.gauge.widthMm * 2.5;
  const stroke = part.map.gauge.widthMm * 0.98;
  const paths = [...drawn.strokes].map(([tint, d]) => ({ d, colour: yarnColour(part.fabric.palette[tint] ?? '', toy.pattern.header) }));
  return (
    <Svg width={size} height={size} viewBox={`${-extent / 2} ${drawn.height / 2 - extent / 2} ${extent} ${extent}`} role="img" aria-label={`${name}, seen from the front`}>
      <Rect x={-extent / 2} y={drawn.height / 2 - extent / 2} width={extent} height={extent} rx={extent * 0.12} fill={mat} />
      <G strokeLinecap="round" fill="none">
        {paths.map(({ d, colour }) => needsOutline(colour) ? <Path key={`o${colour}`} d={d} stroke="#F7F4EA" strokeOpacity={0.45} strokeWidth={stroke * 1.35} /> : null)}
        {paths.map(({ d, colour }) => <Path key={`u${colour}`} d={d} stroke={colour} strokeWidth={stroke} />)}
        <Path d={paths.map(({ d }) => d).join('')} stroke="#10302E" strokeOpacity={0.3} strokeWidth={stroke} />
        {paths.map(({ d, colour }) => <Path key={colour} d={d} stroke={colour} strokeWidth={stroke * 0.68} />)}
      </G>
      {part.features.flatMap((feature) => (feature.needle ? [] : feature.units.map((unit) => {
        const { x, y, near } = frontPoint(view, unit.fromLine, unit.azimuth);
        return near ? <Circle key={`${feature.id}${unit.side}`} cx={x} cy={y} r={unit.halfMm} fill={featureColour(feature.kind)} /> : null;
      })))}
      {part.features.flatMap((feature) => (feature.needle?.lies ?? []).map(([from, to], i) => {
        const [out, into] = [feature.needle?.points[from], feature.needle?.points[to]];
        if (!out || !into) return null;
        const [a, b] = [frontPoint(view, out.line, out.azimuth), frontPoint(view, into.line, into.azimuth)];
        return a.near && b.near ? <Path key={`${feature.id}${i}`} d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke={featureColour(feature.kind)} strokeWidth={part.map.gauge.widthMm * 0.3} strokeLinecap="round" /> : null;
      }))}
      {part.eyes?.posts.map((post) => {
        const { x, y } = frontPoint(view, post.line, post.azimuth);
        const radius = (part.eyes?.rule.sizeMm ?? 0) / 2;
        return <G key={post.side}><Circle cx={x} cy={y} r={radius} fill="#141414" stroke="#F7F4EA" strokeWidth={0.7} /><Circle cx={x - radius * 0.3} cy={y - radius * 0.35} r={radius * 0.25} fill="#fff" /></G>;
      })}
    </Svg>
  );
}
