import { t } from '../../core/words/language';
import { useState, type RefObject } from 'react';
import { View } from '@tamagui/core';
import { fileName } from '../../core/words/fileName';
import { saveBlob } from '../../ui/files';
import { Icon } from '../../ui/Icon';
import { Press } from '../../ui/Press';
import { Body } from '../../ui/text';
import type { FormCanvasHandle } from './FormCanvas';

/** Keeping the form: a picture as it stands, or the form itself for other programs. */
export function SaveMenu({
  name,
  handleRef,
}: {
  name: string;
  handleRef: RefObject<FormCanvasHandle | null>;
}) {
  const [open, setOpen] = useState(false);
  const [state, setState] = useState<'idle' | 'waiting' | 'trouble'>('idle');
  const keep = async (kind: 'png' | 'glb' | 'obj') => {
    setOpen(false);
    setState('waiting');
    try {
      const file = await handleRef.current?.save(kind);
      if (file) saveBlob(`${fileName(name)}.${kind}`, file);
      setState(file ? 'idle' : 'trouble');
    } catch {
      setState('trouble');
    }
  };
  return (
    <View position="relative">
      <Press name={t`Save the form`} icon={<Icon name="download" />} onPress={() => setOpen(!open)} />
      {open ? (
        // Beside its button: below it there is no room on a small phone.
        <View
          position="absolute"
          right={56}
          top={0}
          flexDirection="row"
          gap="$2"
          role="group"
          aria-label={t`Save as`}
        >
          <Press tight label={t`Picture`} onPress={() => void keep('png')} />
          <Press tight label={t`GLB`} name={t`Form, GLB`} onPress={() => void keep('glb')} />
          <Press tight label={t`OBJ`} name={t`Form, OBJ`} onPress={() => void keep('obj')} />
        </View>
      ) : null}
      {state === 'waiting' ? (
        <View
          position="absolute"
          right={56}
          top={0}
          width={180}
          backgroundColor="$sheet"
          padding="$2"
          borderRadius="$2"
        >
          <Body role="status">{t`The form is still being drawn …`}</Body>
        </View>
      ) : null}
      {state === 'trouble' ? (
        <View
          position="absolute"
          right={56}
          top={0}
          width={180}
          backgroundColor="$sheet"
          padding="$2"
          borderRadius="$2"
        >
          <Body role="alert">{t`That could not be saved. Try again.`}</Body>
        </View>
      ) : null}
    </View>
  );
}
