import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import { sizeOfPart } from '../../core/toy/stuffedPart';
import { useMemo, useState } from 'react';
import { Card, halfWide, Row } from '../../ui/layout';
import {
  formRounds,
  forms,
  formText,
  repeatStarts,
  type FormKind,
  type RepeatStart,
} from '../../core/shape/forms/formText';
import { assumedGauge, type Gauge } from '../../core/shape/gauge';
import type { Terms } from '../../core/notation/terms';
import { partPicture } from '../../core/keep/toyCard';
import { analyseToy } from '../../core/toy/analyse';
import { Icon } from '../../ui/Icon';
import { OneOf } from '../../ui/Choice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet } from '../../ui/text';
import { ToyPicture } from '../../ui/ToyPicture';
import { sizeWords } from '../../core/words/measures';

const kinds = Object.keys(forms) as FormKind[];
const smallest = 15;
const largest = 400;

const exactWords = t`As near to the shape as stitches come. Most rounds have several different steps to count.`;

/** What rounds with one repeat cost. */
const repeatWords = (start: number, offMm: number): string =>
  t`Each round is plain or one repeat, ${start} times. ${offMm < 1 ? t`It is as near to the shape as can be.` : t`Where it is furthest from the shape it is ${sizeWords(offMm)} wider or narrower.`}`;

interface ShapeScreenProps {
  gauge?: Gauge;
  terms?: Terms;
  back: { name: string; go: () => void };
  /** takes the part's text */
  onTake: (text: string) => void;
}

/** A part from a form: chosen, sized, seen, then taken as rounds to edit like any text. */
export function ShapeScreen({ gauge = assumedGauge, terms = 'us', back, onTake }: ShapeScreenProps) {
  const [kind, setKind] = useState<FormKind>('ball');
  const [width, setWidth] = useState(forms.ball.width);
  const [height, setHeight] = useState(forms.ball.width);
  const [start, setStart] = useState<RepeatStart | null>(repeatStarts[0]);
  const form = forms[kind];
  const wanted = useMemo(
    () => ({ kind, widthMm: width, heightMm: height, start }),
    [kind, width, height, start],
  );
  const text = useMemo(() => formText(wanted, form.name, gauge, terms), [wanted, form.name, gauge, terms]);
  const offMm = useMemo(() => Math.round(formRounds(wanted, gauge).offMm), [wanted, gauge]);
  const toy = useMemo(
    () =>
      analyseToy(
        t`Toy: ${form.name}\nTerms: ${terms.toUpperCase()}\nGauge: ${gauge.widthMm} mm x ${gauge.heightMm} mm\n${text}`,
      ),
    [text, form.name, gauge, terms],
  );
  const [part] = toy.parts;
  const picture = useMemo(() => (part ? partPicture(part, toy.pattern.header) : null), [part, toy]);
  const widest = Math.max(0, ...(part?.checks.map((check) => check.worked) ?? []));
  const choose = (next: FormKind) => {
    setKind(next);
    setWidth(forms[next].width);
    setHeight(forms[next].height ?? forms[next].width);
  };
  return (
    <Page
      title={t`Start from a shape`}
      aside={t`${gauge.widthMm} × ${gauge.heightMm} mm a stitch${gauge.assumed ? t`, assumed` : ''}`}
      back={back}
      broad
      foot={<Press tone="primary" label={t`Take these rounds`} onPress={() => onTake(text)} />}
    >
      <View gap="$4" $wide={{ flexDirection: 'row', gap: '$5' }}>
        <View gap="$4" $wide={halfWide}>
          <OneOf
            wraps
            unlabelled
            label={t`Shape`}
            options={kinds.map((key) => [key, forms[key].name])}
            chosen={kind}
            onChoose={choose}
          />
          <View flexDirection="row" gap="$4" alignItems="center">
            <ToyPicture picture={picture} name={form.name} size={148} />
            <View flexGrow={1} flexShrink={1} flexBasis={0} gap="$1" role="status">
              <Answer>{t`${part?.checks.length ?? 0} rounds`}</Answer>
              <Body>{t`${widest} stitches at the widest`}</Body>
              <Quiet>{t`about ${sizeWords(part ? sizeOfPart(part).widthMm : 0)} wide, stuffed`}</Quiet>
            </View>
          </View>
          <Size label={kind === 'oval' ? t`Across` : t`Width`} value={width} onChange={setWidth} />
          {form.height !== null ? (
            <Size label={kind === 'oval' ? t`Length` : t`Height`} value={height} onChange={setHeight} />
          ) : null}
          {kind === 'oval' ? null : (
            <View gap="$2">
              <OneOf
                label={t`Every round a multiple of`}
                options={[...repeatStarts.map((n) => [String(n), String(n)] as const), ['exact', t`Any`]]}
                chosen={start === null ? 'exact' : String(start)}
                onChoose={(key) => setStart(repeatStarts.find((n) => String(n) === key) ?? null)}
              />
              <Quiet>{start === null ? exactWords : repeatWords(start, offMm)}</Quiet>
            </View>
          )}
        </View>
        <Card aria-label={t`The rounds`} $wide={halfWide}>
          {text
            .trim()
            .split('\n')
            .filter((line) => /^R\d/.test(line))
            .map((line, index) => (
              <Body key={index}>{line}</Body>
            ))}
        </Card>
      </View>
    </Page>
  );
}

function Size({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange: (value: number) => void;
}) {
  const to = (n: number) => onChange(Math.max(smallest, Math.min(largest, n)));
  return (
    <Row role="group" aria-label={label}>
      <Press
        name={t`${label}: 5 mm less`}
        icon={<Icon name="minus" />}
        disabled={value <= smallest}
        onPress={() => to(value - 5)}
      />
      <View flexGrow={1} alignItems="center">
        <Answer fontSize="$5" lineHeight="$5">
          {sizeWords(value)}
        </Answer>
        <Quiet>{label}</Quiet>
      </View>
      <Press
        name={t`${label}: 5 mm more`}
        icon={<Icon name="plus" />}
        disabled={value >= largest}
        onPress={() => to(value + 5)}
      />
    </Row>
  );
}
