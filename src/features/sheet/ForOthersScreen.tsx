import { t } from '../../core/words/language';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from '@tamagui/core';
import type { Terms } from '../../core/notation/terms';
import { patternForOthers, type Reader, type WrittenPattern } from '../../core/toy/sheet/forOthers';
import { patternBody, patternHtml, patternMarkdown } from '../../core/toy/sheet/forOthersMarkup';
import { fileName } from '../../core/words/fileName';
import { photosOf, type Photo } from '../../data/photos';
import { useToy } from '../../data/useToy';
import { OneOf } from '../../ui/Choice';
import { saveFile } from '../../ui/files';
import { Fill } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Quiet } from '../../ui/text';
import { SaveLine } from '../toy/SaveLine';
import { BesideToy, OffPaper, Paper, PaperFoot } from './Paper';

const termWords: readonly [Terms, string][] = [
  ['us', t`US terms`],
  ['uk', t`UK terms`],
];
const handWords: readonly [Reader['hand'], string][] = [
  ['right', t`Right-handed`],
  ['left', t`Left-handed`],
];

/** On paper, or in a file. */
function Keep({ pattern, photos }: { pattern: WrittenPattern; photos: readonly Photo[] }) {
  const name = fileName(pattern.title);
  return (
    <PaperFoot>
      <Press grow tone="primary" label={t`Print`} onPress={() => window.print()} />
      <Press
        grow
        label={t`Text`}
        name={t`Save as text that Hoppla reads`}
        onPress={() => saveFile(`${name}-pattern.txt`, pattern.text, 'text/plain')}
      />
      <Press
        grow
        label={t`Page`}
        name={t`Save as a page with its drawings`}
        onPress={() => saveFile(`${name}-pattern.html`, patternHtml(pattern, photos), 'text/html')}
      />
      <Press
        grow
        label={t`Markdown`}
        name={t`Save as Markdown`}
        onPress={() => saveFile(`${name}-pattern.md`, patternMarkdown(pattern), 'text/markdown')}
      />
    </PaperFoot>
  );
}

interface OwnPhotosProps {
  photos: readonly Photo[];
  chosen: readonly Photo[];
  onChoose: (photos: readonly Photo[]) => void;
}

/** Photos of the logbook that go into the pattern: none unless she chooses them. */
function OwnPhotos({ photos, chosen, onChoose }: OwnPhotosProps) {
  if (photos.length === 0) return null;
  return (
    <View gap="$1" role="group" aria-label={t`Your photos in it`}>
      <Quiet>{t`Your photos in it`}</Quiet>
      <View flexDirection="row" flexWrap="wrap" gap="$2">
        {photos.slice(0, mostPhotos).map((photo, i) => {
          const isIn = chosen.includes(photo);
          const words = photo.words || t`Photo ${i + 1}`;
          return (
            <Press
              key={photo.at}
              role="switch"
              label={words}
              chosen={isIn}
              onPress={() => onChoose(isIn ? chosen.filter((one) => one !== photo) : [...chosen, photo])}
            />
          );
        })}
      </View>
    </View>
  );
}

/** More photos than that are an album. */
const mostPhotos = 12;

/** The toy written out as a pattern for somebody else, in her terms and for her hand. */
export function ForOthersScreen() {
  const router = useRouter();
  const { analysis, editor } = useToy();
  const { data: photos = [] } = useQuery({
    queryKey: ['photos', editor.id],
    queryFn: () => photosOf(editor.id),
    gcTime: 0,
  });
  const [chosen, setChosen] = useState<readonly Photo[]>([]);
  const { header, terms: own } = analysis.pattern;
  const [terms, setTerms] = useState<Terms>(own.value);
  const [hand, setHand] = useState<Reader['hand']>(header.hand);
  const pattern = useMemo(() => patternForOthers(analysis, { terms, hand }), [analysis, terms, hand]);
  const html = useMemo(() => patternBody(pattern, chosen), [pattern, chosen]);
  return (
    <Fill>
      <Page
        title={t`For others`}
        aside={<SaveLine name={pattern.title} />}
        back={{ name: t`Back to the sheet`, go: () => router.replace(`/toy/${editor.id}/sheet`) }}
        scrolls={false}
      >
        <OffPaper>
          <View padding="$3" paddingTop={0} gap="$2" maxWidth={800}>
            <View gap="$2" $wide={{ flexDirection: 'row', gap: '$4' }}>
              <View flexGrow={1}>
                <OneOf label={t`Terms`} unlabelled options={termWords} chosen={terms} onChoose={setTerms} />
              </View>
              <View flexGrow={1}>
                <OneOf label={t`Hand`} unlabelled options={handWords} chosen={hand} onChoose={setHand} />
              </View>
            </View>
            <OwnPhotos photos={photos} chosen={chosen} onChoose={setChosen} />
            {pattern.kept ? (
              <Notice tone="look" live>
                {pattern.kept}
              </Notice>
            ) : null}
          </View>
        </OffPaper>
        <BesideToy>
          <Paper label={t`The pattern for others`} html={html} />
        </BesideToy>
        <Keep pattern={pattern} photos={chosen} />
      </Page>
    </Fill>
  );
}
