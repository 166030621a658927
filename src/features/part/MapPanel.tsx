import { useMemo, useState } from 'react';
import { View as Box } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import Svg, { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { View } from '@tamagui/core';
import { wrapAngle } from '../../core/shape/azimuth';
import { formAzimuths } from '../../core/shape/form/azimuths';
import type { RelaxedForm } from '../../core/shape/form/relaxForm';
import { holeOnMap, mapPoint } from '../../core/shape/map';
import { conflictMarks } from '../../core/place/conflictMarks';
import { featureName } from '../../core/place/features/featureSteps';
import type { FeaturePlacement } from '../../core/place/features/featurePlacement';
import { movedTo, raised, widened } from '../../core/place/features/moveFeature';
import { upOf } from '../../core/place/features/verticalLine';
import type { PartAnalysis } from '../../core/toy/analyse';
import { useToy } from '../../data/useToy';
import { Icon } from '../../ui/Icon';
import { Press } from '../../ui/Press';
import { Body } from '../../ui/text';
import { needsOutline, yarnColour } from '../../ui/yarnColour';
import { MapConflicts } from './MapConflicts';
import { MapHandle } from './MapHandle';
import { MapFeatures } from './MapFeatures';
import { mapPaths, shades } from './mapPaths';
import { usePartEdits } from './usePartEdits';

const besideButtons = 140;
const colours = { mat: '#0F4A45', grid: '#1A5750', thread: '#F7F4EA', marker: '#FF7A1A' };

/** The part unrolled on the mat: drag the background to look around, an eye to move the pair. */
export function MapPanel({ part, form, selected, onSelect, feature, onFeature }: { part: PartAnalysis; feature: string; onFeature: (id: string) => void; form: RelaxedForm | null; selected: number | null; onSelect: (stitch: number | null) => void }) {
  const { analysis } = useToy();
  const edits = usePartEdits(part);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [zoom, setZoom] = useState(1);
  const [pan, setPan] = useState({ x: 0, y: 0 });
  // Even spacing until the form is known, then where the stitches really stand.
  const drawn = useMemo(() => {
    const known = form?.resting && form.nodes.stitches === (part.fabric.offset[part.fabric.rounds] ?? 0);
    return mapPaths(known ? { ...part.map, azimuths: formAzimuths(part.fabric, form, part.starts) } : part.map);
  }, [part, form]);
  const { map } = drawn;
  const { widthMm, heightMm } = part.map.gauge;
  const fit = size.height > 0 ? Math.max(size.height / (map.height + heightMm * 3), 0.2) : 1;
  const scale = Math.min(Math.max(fit * zoom, size.width / (map.width + 40)), 40);
  const view = { width: size.width / scale, height: size.height / scale };
  const clamp = (value: number, most: number) => Math.max(-most, Math.min(most, value));
  const centre = { x: clamp(pan.x, map.width / 2), y: map.height / 2 + clamp(pan.y, map.height / 2) };
  const origin = { x: centre.x - view.width / 2, y: centre.y - view.height / 2 };
  const toPx = (point: { x: number; y: number }) => ({ x: (point.x - origin.x) * scale, y: (point.y - origin.y) * scale });

  const tap = Gesture.Tap().runOnJS(true).onEnd((event) => {
    const at = { x: event.x / scale + origin.x, y: event.y / scale + origin.y };
    let [best, near]: [number | null, number] = [null, widthMm * widthMm];
    for (let stitch = 0; stitch < map.round.length; stitch += 1) {
      const middle = middleOf(map.points, stitch);
      const far = (middle.x - at.x) ** 2 + (middle.y - at.y) ** 2;
      if (far < near) [best, near] = [stitch, far];
    }
    onSelect(best);
  });
  const look = Gesture.Simultaneous(
    tap,
    Gesture.Pan().runOnJS(true).minDistance(4).onChange((event) => setPan((now) => ({ x: now.x - event.changeX / scale, y: now.y - event.changeY / scale }))),
    Gesture.Pinch().runOnJS(true).onChange((event) => setZoom((now) => Math.max(0.5, Math.min(8, now * event.scaleChange)))),
  );

  const { eyes, fabric } = part;
  const gapCount = eyes?.posts[0].of ?? 0;

  /** Snaps a point of the panel to a line of holes, and to the distance of a pair with one of its two there. */
  const snapped = (px: number, py: number): { round: number; apart: number } => {
    const x = px / scale + origin.x;
    const y = py / scale + origin.y;
    const line = part.map.start === 'top' ? y / heightMm : (map.height - y) / heightMm;
    const round = Math.max(1, Math.min(fabric.rounds - 1, Math.round(line)));
    const around = part.profile.radius[round - 1] ?? 1;
    const count = (fabric.offset[round + 1] ?? 0) - (fabric.offset[round] ?? 0);
    const angle = Math.min(Math.PI * 0.95, Math.abs(x) / Math.max(1, around));
    return { round, apart: Math.max(2, Math.min(count - 2, Math.round((angle * 2 * count) / (2 * Math.PI)))) };
  };
  const dragTo = (px: number, py: number, first: boolean): boolean => {
    const { eyes: current } = edits.now();
    if (!current) return false;
    const { round, apart } = snapped(px, py);
    const gap: [number, number] = [fabric.label[round - 1] ?? round, fabric.label[round] ?? round + 1];
    if (round === current.round && apart === current.rule.apart) return false;
    edits.change({ gap, apart }, !first);
    return true;
  };
  const key = (side: 'left' | 'right') => (pressed: 'up' | 'down' | 'left' | 'right') => {
    if (!eyes) return;
    const topDown = part.map.start === 'top' ? 1 : -1;
    if (pressed === 'up') edits.moveRounds(-topDown);
    else if (pressed === 'down') edits.moveRounds(topDown);
    else edits.change(({ apart }) => ({ apart: Math.max(1, Math.min(gapCount - 1, apart + (pressed === side ? 1 : -1))) }));
  };

  const dragFeature = (shown: FeaturePlacement) => (px: number, py: number, first: boolean): boolean => {
    const placed = edits.now().features.find(({ id }) => id === shown.id) ?? shown;
    const { round, apart } = snapped(px, py);
    const next = placed.apart === null || placed.rule.sides === 'middle' ? null : apart;
    if (round === placed.line && (next === null || next === placed.apart)) return false;
    edits.putFeature(placed.id, (now) => movedTo(now, round, next, upOf(part.form), fabric.label), !first);
    return true;
  };
  const keyFeature = (placed: FeaturePlacement, side: string) => (pressed: 'up' | 'down' | 'left' | 'right') => {
    if (pressed === 'up' || pressed === 'down') edits.putFeature(placed.id, (now) => raised(now, pressed === 'up' ? 1 : -1, upOf(part.form), fabric.label));
    else edits.putFeature(placed.id, (now) => widened(now, side === 'middle' ? (pressed === 'right' ? 1 : -1) : pressed === side ? 1 : -1));
  };
  const marks = useMemo(() => conflictMarks(part.eyes, part.features), [part]);
  // What is chosen lies on top, so that it can be taken hold of where things are close together.
  const features = [...part.features].sort((a, b) => Number(a.id === feature) - Number(b.id === feature));

  const outlined = drawn.paths.filter((path) => needsOutline(yarnColour(map.palette[path.colour] ?? '', analysis.pattern.header)));
  const eyePoints = eyes?.posts.map((post) => ({ post, at: holeOnMap(part.map, map, eyes.round, post.stitch, post.azimuth, eyes.rule.seat === 'split') })) ?? [];
  const activeLine = feature === 'eyes' && eyes ? eyes.round : part.features.find((candidate) => candidate.id === feature)?.line ?? eyes?.round;
  const middleLine = activeLine === undefined ? 0 : (map.lines[activeLine] ?? 0);
  // At the edge, clear of the face: to the right, but not under the buttons there.
  const lineY = toPx({ x: 0, y: middleLine }).y;
  const grid: number[] = [];
  for (let x = Math.ceil(origin.x / 20) * 20; x < origin.x + view.width && grid.length < 200; x += 20) grid.push(x);
  const gridY: number[] = [];
  for (let y = Math.ceil(origin.y / 20) * 20; y < origin.y + view.height && gridY.length < 200; y += 20) gridY.push(y);

  return (
    <View flexGrow={1} flexShrink={1} flexBasis={0} minHeight={0} position="relative" backgroundColor="$mat" overflow="hidden">
      <GestureDetector gesture={look}>
        <Box style={{ flex: 1, minHeight: 0 }} onLayout={(event) => setSize({ width: event.nativeEvent.layout.width, height: event.nativeEvent.layout.height })}>
          {size.width > 0 ? (
            <Svg width={size.width} height={size.height} viewBox={`${origin.x} ${origin.y} ${view.width} ${view.height}`} role="img" aria-label={`${part.source.name} unrolled: ${fabric.rounds} rounds, the front in the middle`}>
              {grid.map((x) => <Line key={`x${x}`} x1={x} x2={x} y1={origin.y} y2={origin.y + view.height} stroke={colours.grid} strokeWidth={1 / scale} />)}
              {gridY.map((y) => <Line key={`y${y}`} y1={y} y2={y} x1={origin.x} x2={origin.x + view.width} stroke={colours.grid} strokeWidth={1 / scale} />)}
              <G fill="none" strokeLinecap="round" strokeLinejoin="round">
                {outlined.map(({ colour, shade, d }) => <Path key={`o${colour}-${shade}`} d={d} stroke={colours.thread} strokeOpacity={0.4 * (shades[shade]?.opacity ?? 1)} strokeWidth={widthMm * 0.38} />)}
                {drawn.paths.map(({ colour, shade, d }) => (
                  <Path key={`${colour}-${shade}`} d={d} stroke={yarnColour(map.palette[colour] ?? '', analysis.pattern.header)} strokeOpacity={shades[shade]?.opacity} strokeWidth={widthMm * 0.26 * (shades[shade]?.width ?? 1)} />
                ))}
              </G>
              <RoundStarts part={part} />
              <Line x1={0} x2={0} y1={-heightMm} y2={map.height + heightMm} stroke={colours.thread} strokeOpacity={0.7} strokeWidth={1.5 / scale} strokeDasharray={`${2 / scale} ${6 / scale}`} />
              {activeLine !== undefined ? <Line x1={origin.x} x2={origin.x + view.width} y1={middleLine} y2={middleLine} stroke={colours.marker} strokeOpacity={0.85} strokeWidth={1.2 / scale} /> : null}
              <MapFeatures part={part} map={map} chosen={feature} scale={scale} />
              {eyePoints.map(({ post, at }) => {
                const r = (eyes?.rule.sizeMm ?? 8) / 2;
                return (
                  <G key={post.side}>
                    <Circle cx={at.x} cy={at.y} r={r} fill="#121212" stroke={colours.marker} strokeWidth={2.5 / scale} />
                    <Circle cx={at.x - r * 0.3} cy={at.y - r * 0.35} r={r * 0.24} fill="#fff" />
                  </G>
                );
              })}
              {selected !== null && selected < map.round.length ? <Circle cx={middleOf(map.points, selected).x} cy={middleOf(map.points, selected).y} r={widthMm * 0.75} fill="none" stroke={colours.marker} strokeWidth={3 / scale} /> : null}
              <MapConflicts part={part} map={map} marks={marks} scale={scale} />
              <RoundNumbers part={part} lines={map.lines} x={origin.x + 12 / scale} scale={scale} />
            </Svg>
          ) : null}
        </Box>
      </GestureDetector>
      {eyePoints.map(({ post, at }) => {
        const px = toPx(at);
        return (
          <MapHandle
            key={post.side}
            name={`${post.side === 'left' ? 'Left' : 'Right'} eye, ${eyes?.rule.seat === 'foot' ? 'hole' : 'split'} ${post.stitch}, between round ${eyes?.rule.gap[0]} and ${eyes?.rule.gap[1]}. Arrow keys move it.`}
            x={px.x}
            y={px.y}
            onDrag={dragTo}
            onKey={key(post.side)}
            onTap={() => onFeature('eyes')}
          />
        );
      })}
      {features.flatMap((placed) => placed.units.map((unit) => {
        const at = toPx(mapPoint(part.map, placed.line, unit.azimuth));
        const name = featureName(placed.id, placed.kind);
        return (
          <MapHandle
            key={`${placed.id}${unit.side}`}
            name={`${unit.side === 'middle' ? name : `${unit.side === 'left' ? 'Left' : 'Right'} of ${name.toLowerCase()}`}, between round ${placed.gap[0]} and ${placed.gap[1]}. Arrow keys move it.`}
            x={at.x}
            y={at.y}
            onDrag={(x, y, first) => { if (first) onFeature(placed.id); return dragFeature(placed)(x, y, first); }}
            onKey={(pressed) => { onFeature(placed.id); keyFeature(placed, unit.side)(pressed); }}
            onTap={() => onFeature(placed.id)}
          />
        );
      }))}
      {marks.length > 0 ? <ConflictList part={part} ids={[...new Set(marks.map(({ id }) => id))]} onFeature={onFeature} /> : null}
      <View position="absolute" right={8} top={8} gap="$2">
        <Press name="Closer look" icon={<Icon name="plus" />} onPress={() => setZoom((now) => Math.min(8, now * 1.4))} />
        <Press name="See more" icon={<Icon name="minus" />} onPress={() => setZoom((now) => Math.max(0.5, now / 1.4))} />
      </View>
      {eyes && feature === 'eyes' ? (
        <View position="absolute" pointerEvents="none" {...(lineY > besideButtons ? { right: 8 } : { left: 44 })} top={lineY - 16}>
          <View backgroundColor="$marker" borderRadius="$3" paddingHorizontal="$2">
            <Body color="$onMarker" fontWeight="700">{eyes.showing} {eyes.showing === 1 ? 'shows' : 'show'}</Body>
          </View>
        </View>
      ) : null}
    </View>
  );
}

/** The features that have something to settle; a tap goes to what it is. */
function ConflictList({ part, ids, onFeature }: { part: PartAnalysis; ids: readonly string[]; onFeature: (id: string) => void }) {
  return (
    <View position="absolute" left={44} top={8} gap="$1" alignItems="flex-start" role="group" aria-label="To settle">
      {ids.slice(0, 3).map((id) => {
        const kind = part.features.find((one) => one.id === id)?.kind ?? 'eyes';
        return <Press key={id} tight tone="danger" label={`! ${featureName(id, kind)}`} name={`To settle: ${featureName(id, kind)}`} onPress={() => onFeature(id)} />;
      })}
    </View>
  );
}

/** Middle of a stitch on the map. */
function middleOf(points: Float32Array, stitch: number): { x: number; y: number } {
  const p = stitch * 6;
  return { x: ((points[p] ?? 0) + 2 * (points[p + 2] ?? 0) + (points[p + 4] ?? 0)) / 4, y: ((points[p + 1] ?? 0) + (points[p + 3] ?? 0)) / 2 };
}

/** Row numbers, every fifth and those beside the eyes, at the edge of the panel. */
function RoundNumbers({ part, lines, x, scale }: { part: PartAnalysis; lines: Float64Array; x: number; scale: number }) {
  const { fabric, eyes } = part;
  const near = eyes ? [eyes.round, eyes.round + 1] : [];
  const shown = Array.from({ length: fabric.rounds }, (_, i) => i + 1).filter((round) => {
    if (near.includes(round)) return true;
    if (near.some((other) => Math.abs(other - round) < 2)) return false;
    return round === 1 || round === fabric.rounds || (round % 5 === 0 && fabric.rounds - round > 1);
  });
  const upright = part.map.start === 'top' ? ['start', 'end'] : ['end', 'start'];
  return (
    <G>
      {shown.map((round) => {
        // The two rounds at the eyes stand clear of each other, above and below the line of holes.
        const apart = near.includes(round) ? ((lines[round] ?? 0) > (lines[near[0] ?? 0] ?? 0) === (part.map.start === 'top') && round !== near[0] ? 5 : -5) : 0;
        const y = ((lines[round] ?? 0) + (lines[round - 1] ?? 0)) / 2 + (5 + apart * (part.map.start === 'top' ? 1 : -1)) / scale;
        const words = { x, y, fontSize: 15 / scale, fontFamily: 'AtkinsonHyperlegibleNext_700Bold' };
        return (
          <G key={round}>
            <SvgText {...words} fill={colours.mat} stroke={colours.mat} strokeWidth={5 / scale} strokeLinejoin="round">{fabric.label[round - 1]}</SvgText>
            <SvgText {...words} fill={near.includes(round) ? colours.marker : colours.thread}>{fabric.label[round - 1]}</SvgText>
          </G>
        );
      })}
      <SvgText x={6 / scale} y={-5 / scale} fill={colours.thread} fontSize={14 / scale} fontFamily="AtkinsonHyperlegibleNext_400Regular">{upright[0]}</SvgText>
      <SvgText x={6 / scale} y={(lines[part.map.start === 'top' ? fabric.rounds : 0] ?? 0) + 16 / scale} fill={colours.thread} fontSize={14 / scale} fontFamily="AtkinsonHyperlegibleNext_400Regular">{upright[1]}</SvgText>
    </G>
  );
}

/** Where each round begins: a bar between two stitches, wandering as the spiral leans. */
function RoundStarts({ part }: { part: PartAnalysis }) {
  const { map } = part;
  const h = map.gauge.heightMm;
  let d = '';
  for (let round = 1; round <= part.fabric.rounds; round += 1) {
    if (part.fabric.row[round - 1] === 1) continue;
    const angle = wrapAngle((part.starts[round - 1] ?? 0) - map.front);
    const at = mapPoint(map, round - 1, map.front + angle);
    const x = map.dir * angle * (part.profile.radius[round - 1] ?? 0);
    const down = map.start === 'top' ? h : -h;
    d += `M${x.toFixed(1)} ${at.y.toFixed(1)}v${(down * 0.9).toFixed(1)}`;
  }
  return <Path d={d} stroke="#A996FF" strokeWidth={map.gauge.widthMm * 0.16} />;
}
