import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from '@tamagui/core';
import { useToy } from '../../data/useToy';
import { Field } from '../../ui/Field';
import { Fill } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body } from '../../ui/text';
import { SaveLine, SaveTrouble } from '../toy/SaveLine';
import { UndoButtons } from '../toy/UndoButtons';
import { RoundPage } from './RoundPage';

const usualNames = ['Head', 'Body', 'Arm', 'Leg', 'Ear', 'Tail'];

/** A part that is not there yet is named first. */
function NameIt({ onName }: { onName: (name: string) => void }) {
  const [name, setName] = useState('');
  return (
    <View gap="$4">
      <Body>{t`Name the piece you begin with. Then tap what your hook does: the round is written, counted and drawn as you go.`}</Body>
      <View flexDirection="row" flexWrap="wrap" gap="$2" role="group" aria-label={t`Usual names`}>
        {usualNames.map((usual) => (
          <Press key={usual} label={usual} onPress={() => onName(usual)} />
        ))}
      </View>
      <Field label={t`Or a name of your own`} value={name} onChange={setName} onDone={() => onName(name)} />
      <Press tone="primary" label={t`Begin`} disabled={!name.trim()} onPress={() => onName(name)} />
    </View>
  );
}

/**
 * Inventing with the hook in hand: what was just worked is tapped and written into the text.
 *
 * @param id the lasting id of the part; none where one is begun
 */
export function InventScreen({ id }: { id?: string }) {
  const router = useRouter();
  const { analysis, editor, idOf } = useToy();
  const part = analysis.parts.find((one) => idOf(one) === id);
  const begin = (said: string) => {
    const name = said.replace(/[:\n]/g, ' ').trim();
    if (!name) return;
    const opened = editor.addPart(`${name}:\n`);
    router.setParams({ part: opened });
  };
  const leave = () => router.replace(part ? `/toy/${editor.id}/${id}?view=rounds` : `/toy/${editor.id}`);
  return (
    <Fill>
      {part ? (
        <RoundPage key={part.source.id} part={part} onDone={leave} />
      ) : (
        <Page
          title={t`Write as you go`}
          aside={<SaveLine name={t`A new part`} />}
          actions={<UndoButtons />}
          back={{ name: t`Back to the parts`, go: leave }}
        >
          <SaveTrouble />
          <NameIt onName={begin} />
        </Page>
      )}
    </Fill>
  );
}
