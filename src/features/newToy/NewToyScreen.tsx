import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from '@tamagui/core';
import { applyEdits } from '../../core/notation/applyEdits';
import { readAudience } from '../../core/safety/audience';
import { analyseToy } from '../../core/toy/analyse';
import { limits } from '../../core/notation/limits';
import { bringing } from '../../data/bring';
import { habitIn, useApartHabit, withHabit } from '../../data/habits';
import { useAnalysis } from '../../data/useAnalysis';
import { useShelfActions } from '../../data/useShelf';
import { Field } from '../../ui/Field';
import { Guard } from '../../ui/Guard';
import { halfWide } from '../../ui/layout';
import { Icon } from '../../ui/Icon';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Title } from '../../ui/text';
import { Problems } from '../part/Problems';
import { ForWhom } from '../safety/ForWhom';

/** A pattern pasted or opened: what was found in it, what was not understood, what needs an answer; then onto the shelf. */
export function NewToyScreen() {
  const router = useRouter();
  const [text, setOwnText] = useState(() => bringing.read());
  const setText = (next: string) => {
    bringing.write(next);
    setOwnText(next);
  };
  const [failed, setFailed] = useState(false);
  // Taps that changed the text can be taken back here too; the toy's own history begins on the shelf.
  const [before, setBefore] = useState<string[]>([]);
  const { create } = useShelfActions();
  const { habit, keep: keepHabit } = useApartHabit();
  const written = useAnalysis(text);
  const toy = useMemo(() => {
    const meant = withHabit(written.text, habit, written);
    return meant === written.text ? written : analyseToy(meant);
  }, [written, habit]);
  const tooLong = text.length > limits.textSigns;
  const worked = toy.parts.filter((part) => part.checks.length > 0);
  const { notes } = toy.pattern;
  const rounds = worked.flatMap((part) => part.checks);
  const silent = rounds.filter((check) => check.stated === null).length;
  const keep = async () => {
    setFailed(false);
    try {
      const stored = await create.mutateAsync(withHabit(text, habit));
      bringing.write('');
      const { id, document } = stored;
      const [only, more] = document.parts;
      router.replace(only && !more ? `/toy/${id}/${only.id}` : `/toy/${id}`);
    } catch {
      setFailed(true);
    }
  };
  return (
    <Page
      title={t`Bring a pattern`}
      broad
      aside={t`Paste it as it is`}
      back={{
        name: t`Back to the shelf`,
        go: () => (router.canGoBack() ? router.back() : router.replace('/')),
      }}
      actions={
        before.length > 0 ? (
          <Press
            tone="quiet"
            name={t`Undo`}
            icon={<Icon name="undo" />}
            onPress={() => {
              setText(before.at(-1) ?? text);
              setBefore(before.slice(0, -1));
            }}
          />
        ) : undefined
      }
      foot={
        <Press
          tone="primary"
          label={t`Put it on the shelf`}
          disabled={!text.trim() || tooLong}
          onPress={() => void keep()}
        />
      }
    >
      <View gap="$4" $wide={{ flexDirection: 'row', gap: '$5' }}>
        <View gap="$4" $wide={halfWide}>
          <Field
            label={t`The pattern`}
            multiline
            value={text}
            onChange={setText}
            placeholder={'Head\nR1: 6 sc in magic ring [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]'}
          />
          <View flexDirection="row" flexWrap="wrap">
            <Press
              tight
              tone="quiet"
              role="link"
              label={t`What can be read?`}
              onPress={() => router.push('/notation')}
            />
            <Press
              tight
              tone="quiet"
              role="link"
              label={t`From another phone`}
              onPress={() => router.push('/receive')}
            />
          </View>
          {tooLong ? (
            <Notice
              tone="wrong"
              live
            >{t`This text has ${text.length - limits.textSigns} signs too many for one toy. Give the end of it to a toy of its own.`}</Notice>
          ) : null}
          {failed ? (
            <Notice
              tone="wrong"
              live
            >{t`The browser would not save the toy. Your text is still here: try again, or copy it somewhere safe.`}</Notice>
          ) : null}
        </View>
        {text.trim() ? (
          <View $wide={halfWide}>
            <Guard what={t`What was found`} resetKeys={[toy]}>
              <View gap="$3">
                <Title render="h2" margin={0}>
                  {worked.length === 0
                    ? t`No rounds found yet`
                    : worked.length === 1
                      ? t`One part found`
                      : t`${worked.length} parts found`}
                </Title>
                {worked.map((part) => (
                  <Body key={part.source.id}>
                    <Body fontWeight="700">{part.source.name}</Body>
                    {t`${part.source.make > 1 ? t`, make ${part.source.make}` : ''}: ${part.checks.length} ${part.checks.length === 1 ? t`round` : t`rounds`}, ${part.checks.reduce((sum, check) => sum + check.worked, 0)} stitches${part.eyes ? t`, eyes` : ''}`}
                  </Body>
                ))}
                {worked.length > 0 ? (
                  <ForWhom
                    text={text}
                    audience={readAudience(toy.pattern.header.audience)}
                    onChoose={(next) => {
                      setBefore([...before, text]);
                      setText(next);
                    }}
                  />
                ) : null}
                <Problems
                  problems={toy.problems}
                  showLine
                  onApply={(suggestion) => {
                    const told = habitIn(suggestion.edits);
                    if (told) keepHabit(told);
                    setBefore([...before, text]);
                    setText(applyEdits(text, suggestion.edits));
                  }}
                />
                {worked.length > 0 && silent === rounds.length ? (
                  <Notice tone="look">{t`no round says how many stitches it should have, so only the rounds themselves can be checked. Totals such as [24] help.`}</Notice>
                ) : null}
                {worked.length > 0 && toy.problems.length === 0 ? (
                  <Notice tone="good">{t`every round adds up.`}</Notice>
                ) : null}
                {notes.length > 0 ? (
                  <Notice tone="plain">
                    {t`Kept as notes, not counted: ${notes
                      .slice(0, 12)
                      .map((note) => t`line ${note.line}, “${note.text.slice(0, 80)}”`)
                      .join('; ')}${notes.length > 12 ? t`; and ${notes.length - 12} more` : ''}`}
                  </Notice>
                ) : null}
              </View>
            </Guard>
          </View>
        ) : null}
      </View>
    </Page>
  );
}
