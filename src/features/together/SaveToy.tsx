import { t } from '../../core/words/language';
import { memo, useState, type RefObject } from 'react';
import { View } from '@tamagui/core';
import { fileName } from '../../core/words/fileName';
import { modelOfToy } from '../../core/toy/assembled';
import type { ToyAnalysis } from '../../core/toy/analyse';
import { saveBlob } from '../../ui/files';
import { Row } from '../../ui/layout';
import { palette } from '../../ui/palette';
import { Press } from '../../ui/Press';
import { Body, Quiet } from '../../ui/text';
import { markId } from './AssembledDrawing';

type Kind = 'png' | 'glb' | 'obj';

/** Width of a saved picture: enough to be printed on a label. */
const pictureWidth = 1600;

/** A drawing as a picture on the mat, as it stands; null where the browser can't. */
async function pictureOf(drawing: SVGSVGElement): Promise<Blob | null> {
  const { width, height } = drawing.getBoundingClientRect();
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  for (const mark of copy.querySelectorAll(`[id^="${markId}"]`)) mark.remove();
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  const scale = pictureWidth / Math.max(1, width);
  copy.setAttribute('width', String(pictureWidth));
  copy.setAttribute('height', String(Math.round(height * scale)));
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(new XMLSerializer().serializeToString(copy))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = pictureWidth;
  canvas.height = Math.round(height * scale);
  const pen = canvas.getContext('2d');
  if (!pen) return null;
  pen.fillStyle = palette.mat;
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve) => {
    canvas.toBlob(resolve, 'image/png');
  });
}

async function fileOf(kind: Kind, toy: ToyAnalysis, stage: HTMLElement | null): Promise<Blob | null> {
  if (kind === 'png') {
    const drawing = stage?.querySelector('svg');
    return drawing ? pictureOf(drawing) : null;
  }
  const scene = await import('../form/scene');
  const model = modelOfToy(toy);
  return kind === 'glb' ? scene.toyAsGlb(model) : scene.toyAsObj(model);
}

interface SaveToyProps {
  toy: ToyAnalysis;
  name: string;
  /** what the drawing stands in */
  stage: RefObject<HTMLElement | null>;
}

const kinds: readonly [kind: Kind, label: string, said: string][] = [
  ['png', t`Picture`, t`Save the toy as a picture`],
  ['glb', 'GLB', t`Save the toy as a form, GLB`],
  ['obj', 'OBJ', t`Save the toy as a form, OBJ`],
];

/** Keeping the toy as it is put together: a picture from where it is looked at, or its form for other programs. */
export const SaveToy = memo(function SaveToy({ toy, name, stage }: SaveToyProps) {
  const [state, setState] = useState<'idle' | 'busy' | 'trouble'>('idle');
  const keep = async (kind: Kind) => {
    setState('busy');
    try {
      const file = await fileOf(kind, toy, stage.current);
      if (file) saveBlob(`${fileName(name)}.${kind}`, file);
      setState(file ? 'idle' : 'trouble');
    } catch {
      setState('trouble');
    }
  };
  return (
    <View gap="$2">
      <Row flexWrap="wrap">
        <Quiet>{t`Save it as it stands:`}</Quiet>
        {kinds.map(([kind, label, said]) => (
          <Press
            key={kind}
            tight
            label={label}
            name={said}
            disabled={state === 'busy'}
            onPress={() => void keep(kind)}
          />
        ))}
      </Row>
      {state === 'trouble' ? <Body role="alert">{t`That could not be saved. Try again.`}</Body> : null}
    </View>
  );
});
