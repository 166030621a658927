import { spoken, t } from '../words/language';
import { featureColour, pressedEye } from '../place/rule/library';
import { pictureOf, shinyDot, type Picture, type PictureShape } from '../shape/picture';
import { yarnColour } from '../supplies/yarnColour';
import type { ToyHeader } from '../notation/pattern';
import type { PartAnalysis, ToyAnalysis } from '../toy/analyse';
import { toyPicture } from '../toy/assembled';
import { nextStep } from './nextStep';
import { stuffedPart } from '../toy/stuffedPart';

/** What the shelf shows of a toy. It is kept beside the toy, so that the shelf reads no pattern. */
export interface ToyCard {
  name: string;
  next: string;
  /** the tag of the language that is said in */
  language: string;
  parts: number;
  picture: Picture | null;
}

const needleThread = 0.3;

/** The name a toy goes by: its `Toy:` line, else its first part. */
export function nameOfToy(toy: ToyAnalysis): string {
  return toy.pattern.header.name ?? toy.parts[0]?.source.name ?? t`Toy without a name`;
}

/** A small picture of a part from the front, with its face; null where nothing is worked yet. */
export function partPicture(part: PartAnalysis, header: ToyHeader): Picture | null {
  if (part.fabric.rounds === 0) return null;
  const { picture, scale } = pictureOf(
    { ...part.map, profile: stuffedPart(part) },
    part.fabric.palette.map((name) => yarnColour(name, header)),
  );
  const tenths = (value: number) => Math.round(value * 10) / 10;
  const pieces = part.features.flatMap((feature): PictureShape[] =>
    feature.needle || feature === part.eyes
      ? []
      : feature.units.flatMap((unit) => {
          const place = scale.at(unit.fromLine, unit.azimuth);
          return place
            ? [
                {
                  kind: 'dot' as const,
                  ...place,
                  radius: tenths(unit.halfMm * scale.perMm),
                  colour: featureColour(feature.kind),
                },
              ]
            : [];
        }),
  );
  const threads = part.features.flatMap((feature): PictureShape[] =>
    (feature.needle?.lies ?? []).flatMap(([from, to]) => {
      const [out, into] = [feature.needle?.points[from], feature.needle?.points[to]];
      const [a, b] = [out && scale.at(out.line, out.azimuth), into && scale.at(into.line, into.azimuth)];
      if (!a || !b) return [];
      return [
        {
          kind: 'stroke' as const,
          d: `M${a.x} ${a.y}L${b.x} ${b.y}`,
          colour: featureColour(feature.kind),
          width: tenths(part.map.gauge.widthMm * needleThread * scale.perMm),
        },
      ];
    }),
  );
  const eyes = (part.eyes?.units ?? []).flatMap(({ fromLine, azimuth }): PictureShape[] => {
    const place = scale.at(fromLine, azimuth);
    const radius = tenths(((part.eyes?.rule.sizeMm ?? 0) / 2) * scale.perMm);
    return place ? shinyDot(place, radius, pressedEye) : [];
  });
  return { ...picture, on: [...pieces, ...threads, ...eyes] };
}

/** What the shelf shows of a toy: its name, what comes next, and a picture of it put together, or of its largest part. */
export function toyCard(toy: ToyAnalysis): ToyCard {
  const largest = [...toy.parts].sort((a, b) => b.fabric.kind.length - a.fabric.kind.length)[0];
  return {
    name: nameOfToy(toy),
    next: nextStep(toy),
    language: spoken(),
    parts: toy.parts.length,
    picture: toyPicture(toy) ?? (largest ? partPicture(largest, toy.pattern.header) : null),
  };
}
