import { View } from '@tamagui/core';
import { sizeOfPart } from '../../core/toy/stuffedPart';
import { useMemo, useState } from 'react';
import { Card, Row } from '../../ui/layout';
import { forms, formText, type FormKind } from '../../core/shape/forms/formText';
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

const kinds = Object.keys(forms) as FormKind[];
const smallest = 15;
const largest = 400;

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
  const form = forms[kind];
  const text = useMemo(
    () => formText({ kind, widthMm: width, heightMm: height }, form.name, gauge, terms),
    [kind, width, height, form.name, gauge, terms],
  );
  const toy = useMemo(
    () =>
      analyseToy(
        `Toy: ${form.name}\nTerms: ${terms.toUpperCase()}\nGauge: ${gauge.widthMm} mm x ${gauge.heightMm} mm\n${text}`,
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
      title="Start from a shape"
      aside={`${gauge.widthMm} × ${gauge.heightMm} mm a stitch${gauge.assumed ? ', assumed' : ''}`}
      back={back}
      foot={<Press tone="primary" label="Take these rounds" onPress={() => onTake(text)} />}
    >
      <OneOf
        wraps
        unlabelled
        label="Shape"
        options={kinds.map((key) => [key, forms[key].name])}
        chosen={kind}
        onChoose={choose}
      />
      <View flexDirection="row" gap="$4" alignItems="center">
        <ToyPicture picture={picture} name={form.name} size={148} />
        <View flexGrow={1} flexShrink={1} flexBasis={0} gap="$1" role="status">
          <Answer>{part?.checks.length ?? 0} rounds</Answer>
          <Body>{widest} stitches at the widest</Body>
          <Quiet>about {Math.round(part ? sizeOfPart(part).widthMm : 0)} mm wide, stuffed</Quiet>
        </View>
      </View>
      <Size label={kind === 'oval' ? 'Across' : 'Width'} value={width} onChange={setWidth} />
      {form.height !== null ? (
        <Size label={kind === 'oval' ? 'Length' : 'Height'} value={height} onChange={setHeight} />
      ) : null}
      <Card aria-label="The rounds">
        {text
          .trim()
          .split('\n')
          .filter((line) => /^R\d/.test(line))
          .map((line, index) => (
            <Body key={index}>{line}</Body>
          ))}
      </Card>
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
        name={`${label}: 5 mm less`}
        icon={<Icon name="minus" />}
        disabled={value <= smallest}
        onPress={() => to(value - 5)}
      />
      <View flexGrow={1} alignItems="center">
        <Answer fontSize="$5" lineHeight="$5">
          {value} mm
        </Answer>
        <Quiet>{label}</Quiet>
      </View>
      <Press
        name={`${label}: 5 mm more`}
        icon={<Icon name="plus" />}
        disabled={value >= largest}
        onPress={() => to(value + 5)}
      />
    </Row>
  );
}
