import { t } from '../../core/words/language';
import { plural } from '../../core/words/counted';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from '@tamagui/core';
import type { UnpackedShelf } from '../../data/shelfFile';
import { saveBlob } from '../../ui/files';
import { Notice } from '../../ui/Notice';
import { Press } from '../../ui/Press';
import { Quiet } from '../../ui/text';
import { workbench } from '../pages';

const toys = (count: number): string => plural(count, 'toy');

/** What came of a shelf file, for the maker. */
function broughtWords(count: number, { same, unread }: UnpackedShelf): string {
  const parts = [
    count === 0 ? t`No toy was new.` : t`${toys(count)} came to the shelf.`,
    same > 0 ? t`${toys(same)} were here already, just so.` : '',
    unread.length > 0
      ? t`${unread.length} of its files could not be read: ${unread.map(({ file, why }) => `${file} (${why})`).join(', ')}`
      : '',
  ];
  return parts.filter(Boolean).join(' ');
}

interface WholeShelf {
  /** saves every toy into one file */
  save: () => Promise<void>;
  /** takes what such a file holds, or asks about toys that are here with another text */
  bring: (packed: Uint8Array) => Promise<void>;
  /** what was brought, or what is asked; null where there is nothing to say */
  told: { words: string } | { asked: UnpackedShelf } | null;
  answer: (file: UnpackedShelf, withDoubles: boolean) => Promise<void>;
}

/** The whole shelf as one file, there and back. */
export function useWholeShelf(readAgain: () => Promise<unknown>): WholeShelf {
  const client = useQueryClient();
  const [told, setTold] = useState<WholeShelf['told']>(null);
  const answer = async (file: UnpackedShelf, withDoubles: boolean) => {
    const { restoreShelf } = await workbench();
    const count = await restoreShelf(file, withDoubles);
    await readAgain();
    // Hands, yarns and lists came too.
    await client.invalidateQueries();
    setTold({ words: broughtWords(count, file) });
  };
  const bring = async (packed: Uint8Array) => {
    const { unpackShelf } = await workbench();
    const file = await unpackShelf(packed);
    if (file.doubles.length > 0) setTold({ asked: file });
    else await answer(file, false);
  };
  const save = async () => {
    const { packShelf } = await workbench();
    const { bytes } = await packShelf();
    saveBlob('hoppla-shelf.zip', new Blob([bytes], { type: 'application/zip' }));
  };
  return { save, bring, told, answer };
}

/** What became of a shelf file, and the question about toys that are here with another text. */
export function ShelfFileNotice({
  shelf: { told, answer },
  attempt,
}: {
  shelf: WholeShelf;
  attempt: (act: () => Promise<void>) => Promise<void>;
}) {
  if (!told) return null;
  if ('words' in told)
    return (
      <Notice tone="plain" live>
        {told.words}
      </Notice>
    );
  const { asked } = told;
  const names = asked.doubles.map(({ name }) => name).join(', ');
  return (
    <Notice
      tone="look"
      live
      actions={
        <>
          <Press label={t`Bring copies of them`} onPress={() => void attempt(() => answer(asked, true))} />
          <Press label={t`Leave mine as they are`} onPress={() => void attempt(() => answer(asked, false))} />
        </>
      }
    >
      {t`${toys(asked.doubles.length)} of this file ${asked.doubles.length === 1 ? t`is` : t`are`} on your shelf with another text: ${names}.`}
    </Notice>
  );
}

/** The way to keep every toy in one file. */
export function KeepAll({ onSave }: { onSave: () => void }) {
  return (
    <View gap="$1" paddingTop="$3" alignItems="flex-start">
      <Press label={t`Save the whole shelf`} onPress={onSave} />
      <Quiet>{t`One file with every toy, its record, what you are making, your yarns and what you set. “A file” brings it back, here or on another phone.`}</Quiet>
    </View>
  );
}
