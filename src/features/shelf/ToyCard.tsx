import { useState } from 'react';
import { Pressable } from 'react-native';
import { View } from '@tamagui/core';
import type { ToyAnalysis } from '../../core/toy/analyse';
import { nameOf, shelf, type StoredToy } from '../../data/shelf';
import { useShelfActions } from '../../data/useShelf';
import { Field } from '../../ui/Field';
import { fileName, saveFile } from '../../ui/files';
import { Icon } from '../../ui/Icon';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';
import { ToyPicture } from '../../ui/ToyPicture';
import { nextStep } from './nextStep';

interface ToyCardProps {
  toy: StoredToy;
  analysis: ToyAnalysis;
  onOpen: () => void;
  onRemoved: (name: string) => void;
  onTrouble: (words: string) => void;
}

/** One toy on the shelf: its picture, its name, what comes next, and what can be done with it. */
export function ToyCard({ toy, analysis, onOpen, onRemoved, onTrouble }: ToyCardProps) {
  const [more, setMore] = useState(false);
  const [naming, setNaming] = useState<string | null>(null);
  const { remove, rename, duplicate } = useShelfActions();
  const name = nameOf(toy.document.text);
  const attempt = async (act: Promise<unknown>) => {
    try {
      await act;
    } catch (reason) {
      onTrouble(reason instanceof Error ? reason.message : 'That did not work. Try again.');
    }
  };
  const saveName = () => {
    const wanted = naming?.trim();
    setNaming(null);
    if (wanted && wanted !== name) void attempt(rename.mutateAsync({ toy, name: wanted }));
  };
  return (
    <View render="li" style={{ listStyleType: 'none' }} backgroundColor="$sheet" borderRadius="$3" borderWidth={1} borderColor="$line" overflow="hidden">
      <View flexDirection="row" alignItems="center">
        <Pressable role="link" aria-label={`Open ${name}`} onPress={onOpen} style={{ flex: 1, minWidth: 0 }}>
          <View flexDirection="row" gap="$3" padding="$3" alignItems="center">
            <ToyPicture toy={analysis} size={88} />
            <View flexGrow={1} flexShrink={1} flexBasis={0} minWidth={0}>
              <Title render="h2" margin={0}>{name}</Title>
              <Body>{nextStep(analysis)}</Body>
              <Quiet>{analysis.parts.length === 1 ? '1 part' : `${analysis.parts.length} parts`}</Quiet>
            </View>
          </View>
        </Pressable>
        <View paddingRight="$2"><Press tone="quiet" icon={<Icon name="more" />} name={`${more ? 'Less' : 'More'} for ${name}`} onPress={() => setMore(!more)} /></View>
      </View>
      {more ? (
        <View padding="$3" paddingTop={0} gap="$2">
          {naming === null ? (
            <View flexDirection="row" flexWrap="wrap" gap="$2">
              <Press label="Rename" onPress={() => setNaming(name)} />
              <Press label="Duplicate" onPress={() => void attempt(duplicate.mutateAsync({ toy, name }))} />
              <Press label="Export" onPress={() => saveFile(`${fileName(name)}.hoppla.json`, shelf.exportText(toy), 'application/json')} />
              <Press tone="danger" label="Delete" onPress={() => void attempt(remove.mutateAsync(toy).then(() => onRemoved(name)))} />
            </View>
          ) : (
            <View gap="$2">
              <Field label="New name" value={naming} onChange={setNaming} onDone={saveName} />
              <View flexDirection="row" gap="$2">
                <Press tone="primary" label="Save the name" onPress={saveName} />
                <Press label="Leave it" onPress={() => setNaming(null)} />
              </View>
            </View>
          )}
        </View>
      ) : null}
    </View>
  );
}
