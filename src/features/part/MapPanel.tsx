import { t } from '../../core/words/language';
import { useMemo, useState } from 'react';
import { View as Box } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import Svg, { Circle, G, Line, Path } from 'react-native-svg';
import { View } from '@tamagui/core';
import { palette } from '../../ui/palette';
import { Fill } from '../../ui/layout';
import { formAzimuths } from '../../core/shape/form/azimuths';
import type { RelaxedForm } from '../../core/shape/form/relaxForm';
import { holeOnMap } from '../../core/shape/map';
import { conflictMarks } from '../../core/place/check/marks';
import { eyeAddress } from '../../core/place/words/directions';
import type { PartAnalysis } from '../../core/toy/analyse';
import { useToy } from '../../data/useToy';
import { Icon } from '../../ui/Icon';
import { Press } from '../../ui/Press';
import { Body } from '../../ui/text';
import { needsOutline, yarnColour } from '../../core/supplies/yarnColour';
import { MapConflicts } from './MapConflicts';
import { MapFeatures } from './MapFeatures';
import { MapHandles } from './MapHandles';
import { MapJoins } from './MapJoins';
import { MapLines } from './MapLines';
import { mapPaths, shades, stitchMiddle } from './mapPaths';
import { RoundNumbers, RoundStarts } from './MapRounds';

const besideButtons = 140;

/** The part unrolled on the mat: drag the background to look around, an eye to move the pair. */
export function MapPanel({
  part,
  form,
  selected,
  onSelect,
  feature,
  onFeature,
}: {
  part: PartAnalysis;
  feature: string;
  onFeature: (id: string) => void;
  form: RelaxedForm | null;
  selected: number | null;
  onSelect: (stitch: number | null) => void;
}) {
  const { analysis } = useToy();
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [zoom, setZoom] = useState(1);
  const [pan, setPan] = useState({ x: 0, y: 0 });
  // Even spacing until the form is known, then where the stitches really stand.
  const drawn = useMemo(() => {
    const known = form?.resting && form.nodes.stitches === (part.fabric.offset[part.fabric.rounds] ?? 0);
    return mapPaths(
      known ? { ...part.map, azimuths: formAzimuths(part.fabric, form, part.starts) } : part.map,
    );
  }, [part, form]);
  const { map } = drawn;
  const { widthMm, heightMm } = part.map.gauge;
  const fit = size.height > 0 ? Math.max(size.height / (map.height + heightMm * 3), 0.2) : 1;
  const scale = Math.min(Math.max(fit * zoom, size.width / (map.width + 40)), 40);
  const view = { width: size.width / scale, height: size.height / scale };
  const clamp = (value: number, most: number) => Math.max(-most, Math.min(most, value));
  const centre = { x: clamp(pan.x, map.width / 2), y: map.height / 2 + clamp(pan.y, map.height / 2) };
  const origin = { x: centre.x - view.width / 2, y: centre.y - view.height / 2 };
  const toMm = (x: number, y: number) => ({ x: x / scale + origin.x, y: y / scale + origin.y });
  const toPx = (point: { x: number; y: number }) => ({
    x: (point.x - origin.x) * scale,
    y: (point.y - origin.y) * scale,
  });

  const tap = Gesture.Tap()
    .runOnJS(true)
    .onEnd((event) => {
      const at = toMm(event.x, event.y);
      let [best, near]: [number | null, number] = [null, widthMm * widthMm];
      for (let stitch = 0; stitch < map.round.length; stitch += 1) {
        const middle = stitchMiddle(map.points, stitch);
        const far = (middle.x - at.x) ** 2 + (middle.y - at.y) ** 2;
        if (far < near) [best, near] = [stitch, far];
      }
      onSelect(best);
    });
  const look = Gesture.Simultaneous(
    tap,
    Gesture.Pan()
      .runOnJS(true)
      .minDistance(4)
      .onChange((event) =>
        setPan((now) => ({ x: now.x - event.changeX / scale, y: now.y - event.changeY / scale })),
      ),
    Gesture.Pinch()
      .runOnJS(true)
      .onChange((event) => setZoom((now) => Math.max(0.5, Math.min(8, now * event.scaleChange)))),
  );

  const { eyes, fabric } = part;
  const marks = useMemo(() => conflictMarks(part.features), [part]);

  const outlined = drawn.paths.filter((path) =>
    needsOutline(yarnColour(map.palette[path.colour] ?? '', analysis.pattern.header)),
  );
  const eyePoints =
    eyes?.units.map((post) => ({
      post,
      at: holeOnMap(part.map, map, {
        line: post.fromLine,
        hole: post.from,
        azimuth: post.azimuth,
        seat: eyes.seat,
      }),
    })) ?? [];
  const active =
    feature === 'eyes' && eyes
      ? eyes.units.map((post) => post.fromLine)
      : (activeLines(part, feature) ?? eyes?.units.map((post) => post.fromLine) ?? []);
  // At the edge, clear of the face: to the right, but not under the buttons there.
  const lineY = toPx({ x: 0, y: map.lines[active[0] ?? 0] ?? 0 }).y;
  const badge = part.map.lying
    ? { right: 8, bottom: 30 }
    : { ...(lineY > besideButtons ? { right: 8 } : { left: 44 }), top: lineY - 16 };
  const grid: number[] = [];
  for (let x = Math.ceil(origin.x / 20) * 20; x < origin.x + view.width && grid.length < 200; x += 20)
    grid.push(x);
  const gridY: number[] = [];
  for (let y = Math.ceil(origin.y / 20) * 20; y < origin.y + view.height && gridY.length < 200; y += 20)
    gridY.push(y);

  return (
    <Fill position="relative" backgroundColor="$mat" overflow="hidden">
      <GestureDetector gesture={look}>
        <Box
          style={{ flex: 1, minHeight: 0 }}
          onLayout={(event) =>
            setSize({ width: event.nativeEvent.layout.width, height: event.nativeEvent.layout.height })
          }
        >
          {size.width > 0 ? (
            <Svg
              width={size.width}
              height={size.height}
              viewBox={`${origin.x} ${origin.y} ${view.width} ${view.height}`}
              role="img"
              aria-label={t`${part.source.name} unrolled: ${fabric.rounds} rounds, the front in the middle`}
            >
              {grid.map((x) => (
                <Line
                  key={`x${x}`}
                  x1={x}
                  x2={x}
                  y1={origin.y}
                  y2={origin.y + view.height}
                  stroke={palette.matGrid}
                  strokeWidth={1 / scale}
                />
              ))}
              {gridY.map((y) => (
                <Line
                  key={`y${y}`}
                  y1={y}
                  y2={y}
                  x1={origin.x}
                  x2={origin.x + view.width}
                  stroke={palette.matGrid}
                  strokeWidth={1 / scale}
                />
              ))}
              <G fill="none" strokeLinecap="round" strokeLinejoin="round">
                {outlined.map(({ colour, shade, d }) => (
                  <Path
                    key={`o${colour}-${shade}`}
                    d={d}
                    stroke={palette.thread}
                    strokeOpacity={0.4 * (shades[shade]?.opacity ?? 1)}
                    strokeWidth={widthMm * 0.38}
                  />
                ))}
                {drawn.paths.map(({ colour, shade, d }) => (
                  <Path
                    key={`${colour}-${shade}`}
                    d={d}
                    stroke={yarnColour(map.palette[colour] ?? '', analysis.pattern.header)}
                    strokeOpacity={shades[shade]?.opacity}
                    strokeWidth={widthMm * 0.26 * (shades[shade]?.width ?? 1)}
                  />
                ))}
              </G>
              <RoundStarts part={part} />
              <Line
                x1={map.middle}
                x2={map.middle}
                y1={-heightMm}
                y2={map.height + heightMm}
                stroke={palette.thread}
                strokeOpacity={0.7}
                strokeWidth={1.5 / scale}
                strokeDasharray={`${2 / scale} ${6 / scale}`}
              />
              {[...new Set(active)].map((line) => {
                const at = map.lines[line] ?? 0;
                const ends = part.map.lying
                  ? { x1: at, x2: at, y1: origin.y, y2: origin.y + view.height }
                  : { x1: origin.x, x2: origin.x + view.width, y1: at, y2: at };
                return (
                  <Line
                    key={`a${line}`}
                    {...ends}
                    stroke={palette.marker}
                    strokeOpacity={0.85}
                    strokeWidth={1.2 / scale}
                  />
                );
              })}
              <MapLines part={part} map={map} scale={scale} />
              <MapJoins part={part} map={map} scale={scale} />
              <MapFeatures part={part} map={map} chosen={feature} scale={scale} />
              {eyePoints.map(({ post, at }) => {
                const r = (eyes?.rule.sizeMm ?? 8) / 2;
                return (
                  <G key={post.side}>
                    {eyes?.rule.ring ? (
                      <Circle
                        cx={at.x}
                        cy={at.y}
                        r={eyes.rule.ring.sizeMm / 2}
                        fill={palette.thread}
                        fillOpacity={0.9}
                        stroke={palette.mat}
                        strokeWidth={1.2 / scale}
                      />
                    ) : null}
                    <Circle
                      cx={at.x}
                      cy={at.y}
                      r={r}
                      fill={palette.eye}
                      stroke={palette.marker}
                      strokeWidth={2.5 / scale}
                    />
                    <Circle cx={at.x - r * 0.3} cy={at.y - r * 0.35} r={r * 0.24} fill={palette.glint} />
                  </G>
                );
              })}
              {selected !== null && selected < map.round.length ? (
                <Circle
                  cx={stitchMiddle(map.points, selected).x}
                  cy={stitchMiddle(map.points, selected).y}
                  r={widthMm * 0.75}
                  fill="none"
                  stroke={palette.marker}
                  strokeWidth={3 / scale}
                />
              ) : null}
              <MapConflicts part={part} map={map} marks={marks} scale={scale} />
              <RoundNumbers
                part={part}
                lines={map.lines}
                active={active}
                corner={{ x: origin.x + 12 / scale, y: origin.y + view.height - 10 / scale }}
                scale={scale}
              />
            </Svg>
          ) : null}
        </Box>
      </GestureDetector>
      <MapHandles part={part} map={map} feature={feature} onFeature={onFeature} toPx={toPx} toMm={toMm} />
      <View position="absolute" right={8} top={8} gap="$2">
        <Press
          name={t`Closer look`}
          icon={<Icon name="plus" />}
          onPress={() => setZoom((now) => Math.min(8, now * 1.4))}
        />
        <Press
          name={t`See more`}
          icon={<Icon name="minus" />}
          onPress={() => setZoom((now) => Math.max(0.5, now / 1.4))}
        />
      </View>
      {eyes && feature === 'eyes' ? (
        <View position="absolute" pointerEvents="none" {...badge}>
          <View backgroundColor="$marker" borderRadius="$3" paddingHorizontal="$2">
            <Body color="$onMarker" fontWeight="700">
              {eyeAddress(part.form, eyes).showing}
            </Body>
          </View>
        </View>
      ) : null}
    </Fill>
  );
}

/** The lines of holes a feature is on; null where there is no such feature. */
function activeLines(part: PartAnalysis, id: string): number[] | null {
  const feature = part.features.find((candidate) => candidate.id === id);
  if (!feature) return null;
  return part.map.lying ? feature.units.flatMap((unit) => [unit.fromLine, unit.toLine]) : [feature.line];
}
