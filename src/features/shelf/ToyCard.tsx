import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { Pressable } from 'react-native';
import { View } from '@tamagui/core';
import { shelf, type RemovedToy, type ShelfToy } from '../../data/shelf';
import { GoneError } from '../../data/storedToy';
import { useShelfActions } from '../../data/useShelf';
import { Field } from '../../ui/Field';
import { fileName } from '../../core/words/fileName';
import { saveFile } from '../../ui/files';
import { Icon } from '../../ui/Icon';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';
import { ToyPicture } from '../../ui/ToyPicture';

/** What a card does that the shelf has to know of. */
interface CardCalls {
  onOpen: () => void;
  onRemoved: (removed: RemovedToy, name: string) => void;
  onTrouble: (words: string) => void;
}

/** The frame of a card: what it shows, and what can be done with it once more is asked for. */
function CardFrame({ name, face, children }: { name: string; face: ReactNode; children: ReactNode }) {
  const [more, setMore] = useState(false);
  return (
    <View
      render="li"
      style={{ listStyleType: 'none' }}
      backgroundColor="$sheet"
      borderRadius="$3"
      borderWidth={1}
      borderColor="$line"
      overflow="hidden"
    >
      <View flexDirection="row" alignItems="center">
        {face}
        <View paddingRight="$2">
          <Press
            tone="quiet"
            icon={<Icon name="more" />}
            name={more ? t`Less for ${name}` : t`More for ${name}`}
            onPress={() => setMore(!more)}
          />
        </View>
      </View>
      {more ? (
        <View padding="$3" paddingTop={0} gap="$2">
          {children}
        </View>
      ) : null}
    </View>
  );
}

/** Tries an act and says where it did not work; nothing was changed then. */
function useAttempt(onTrouble: CardCalls['onTrouble']) {
  return async (act: Promise<unknown>, trouble: string) => {
    try {
      await act;
    } catch (reason) {
      onTrouble(reason instanceof GoneError ? reason.message : trouble);
    }
  };
}

/** Saves a toy to a file: readable ones as they are exchanged, others exactly as they are kept. */
async function exportToy(id: string, name: string, readable: boolean): Promise<void> {
  const kept = readable
    ? await shelf.read(id).then((stored) => (stored ? shelf.exportText(stored) : null))
    : await shelf.kept(id);
  if (kept === null) throw new GoneError();
  saveFile(
    readable ? `${fileName(name)}.hoppla.json` : `${fileName(name)}.as-kept.json`,
    kept,
    'application/json',
  );
}

const notDeleted = () => t`The browser would not delete it. It is still here: try again.`;
const notExported = () => t`The browser would not read it just now. Try again.`;

/** One toy on the shelf: its picture, its name, what comes next, and what can be done with it. */
export function ToyCard({
  toy,
  onOpen,
  onRemoved,
  onTrouble,
}: { toy: Extract<ShelfToy, { kind: 'kept' }> } & CardCalls) {
  const [naming, setNaming] = useState<string | null>(null);
  const router = useRouter();
  const { remove, rename, duplicate } = useShelfActions();
  const attempt = useAttempt(onTrouble);
  const { id, card } = toy;
  const { name } = card;
  const saveName = () => {
    const wanted = naming?.trim();
    setNaming(null);
    if (wanted && wanted !== name)
      void attempt(
        rename.mutateAsync({ id, name: wanted }),
        t`The browser would not save the new name. Try again.`,
      );
  };
  const face = (
    <Pressable role="link" aria-label={t`Open ${name}`} onPress={onOpen} style={{ flex: 1, minWidth: 0 }}>
      <View flexDirection="row" gap="$3" padding="$3" alignItems="center">
        <ToyPicture picture={card.picture} name={name} size={88} />
        <View flexGrow={1} flexShrink={1} flexBasis={0} minWidth={0}>
          <Title render="h2" margin={0}>
            {name}
          </Title>
          <Body>{card.next}</Body>
          <Quiet>{card.parts === 1 ? t`1 part` : t`${card.parts} parts`}</Quiet>
        </View>
      </View>
    </Pressable>
  );
  return (
    <CardFrame name={name} face={face}>
      {naming === null ? (
        <View flexDirection="row" flexWrap="wrap" gap="$2">
          <Press label={t`Rename`} onPress={() => setNaming(name)} />
          <Press
            label={t`Duplicate`}
            onPress={() =>
              void attempt(
                duplicate.mutateAsync({ id, name }),
                t`The browser would not save the copy. Try again.`,
              )
            }
          />
          <Press label={t`Compare`} onPress={() => router.push(`/toy/${id}/versions`)} />
          <Press label={t`Hand it on`} onPress={() => router.push(`/toy/${id}/hand-on`)} />
          <Press label={t`Export`} onPress={() => void attempt(exportToy(id, name, true), notExported())} />
          <Press
            tone="danger"
            label={t`Delete`}
            onPress={() =>
              void attempt(
                remove.mutateAsync(id).then((removed) => onRemoved(removed, name)),
                notDeleted(),
              )
            }
          />
        </View>
      ) : (
        <View gap="$2">
          <Field label={t`New name`} value={naming} onChange={setNaming} onDone={saveName} />
          <View flexDirection="row" gap="$2">
            <Press tone="primary" label={t`Save the name`} onPress={saveName} />
            <Press label={t`Leave it`} onPress={() => setNaming(null)} />
          </View>
        </View>
      )}
    </CardFrame>
  );
}

/** A toy whose document can't be read: it stays on the shelf, says why, and can be saved as it is and mended. */
export function DamagedCard({
  toy,
  onOpen,
  onRemoved,
  onTrouble,
}: { toy: Extract<ShelfToy, { kind: 'damaged' }> } & CardCalls) {
  const { remove } = useShelfActions();
  const attempt = useAttempt(onTrouble);
  const name = toy.name ?? t`A toy that can’t be read`;
  const face = (
    <View flexGrow={1} flexShrink={1} flexBasis={0} minWidth={0} padding="$3" gap="$1">
      <Title render="h2" margin={0}>
        {name}
      </Title>
      <Body color="$danger">{t`Can’t be read`}</Body>
      <Quiet>{toy.why}</Quiet>
      <View flexDirection="row" paddingTop="$1">
        <Press label={t`See and mend it`} name={t`See and mend ${name}`} onPress={onOpen} />
      </View>
    </View>
  );
  return (
    <CardFrame name={name} face={face}>
      <View flexDirection="row" flexWrap="wrap" gap="$2">
        <Press
          label={t`Save it as it is`}
          onPress={() => void attempt(exportToy(toy.id, name, false), notExported())}
        />
        <Press
          tone="danger"
          label={t`Delete`}
          onPress={() =>
            void attempt(
              remove.mutateAsync(toy.id).then((removed) => onRemoved(removed, name)),
              notDeleted(),
            )
          }
        />
      </View>
    </CardFrame>
  );
}
