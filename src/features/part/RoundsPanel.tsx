import { t } from '../../core/words/language';
import { sayTerm } from '../../core/words/said';
import { useRouter } from 'expo-router';
import { View } from '@tamagui/core';
import { useState } from 'react';
import { freeEdges } from '../../core/fabric/freeEdges';
import { stitchWord } from '../../core/notation/stitchKinds';
import {
  deleteRound,
  duplicateRound,
  insertRound,
  moveRound,
  roundCards,
  setRound,
  type RoundCard,
} from '../../core/edit/editRounds';
import type { PartAnalysis } from '../../core/toy/analyse';
import { useToy } from '../../data/useToy';
import { techniquesOf } from '../../core/make/techniques';
import { HowTo } from '../make/HowTo';
import { Notice } from '../../ui/Notice';
import { Empty } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { AddRound } from './AddRound';
import { Problems } from './Problems';
import { RoundCardRow } from './RoundCardRow';
import { besideFace } from '../../core/toy/toSettle';
import { usePartEdits } from './usePartEdits';

const mostNotes = 20;
/** Cards drawn at once; a part of a thousand rounds is looked at a piece at a time. */
const cardsAtOnce = 120;

/** Every round as a card: read, counted, and to be changed with the thumb. The text says the same. */
export function RoundsPanel({ part }: { part: PartAnalysis }) {
  const { analysis, editor, text } = useToy();
  const edits = usePartEdits(part);
  const [open, setOpen] = useState<number | null>(null);
  const [adding, setAdding] = useState<number | 'end' | null>(null);
  const { source, checks } = part;
  const cards = roundCards(source);
  const [shown, setShown] = useState(cardsAtOnce);
  const { notes, problems: general, terms } = analysis.pattern;
  const about = besideFace(part).filter(({ round }) => round === undefined);
  const others = analysis.problems.filter(
    (problem) =>
      (problem.code === 'colour-undefined' || problem.code.startsWith('part-')) &&
      problem.partId === source.id,
  );
  const stops = new Set(part.stops.stops.map((stop) => stop.row));
  // The last round's own edge is no surprise; loops left below it are.
  const free = freeEdges(part.fabric, part.taken).filter((edge) => edge.loop !== 'both');
  const word = stitchWord('sc', terms.value);
  const ring = checks[0]?.worked ?? 6;

  const act = (card: RoundCard, kind: 'below' | 'duplicate' | 'up' | 'down' | 'delete') => {
    if (kind === 'below') {
      setAdding(card.line);
      return;
    }
    setOpen(null);
    if (kind === 'duplicate') editor.step(duplicateRound(text, source, card));
    else if (kind === 'delete') editor.step(deleteRound(text, source, card));
    else editor.step(moveRound(text, source, card, kind === 'up' ? -1 : 1));
  };
  const add = (after: RoundCard | null) => (body: string, count?: number) => {
    editor.step(insertRound(text, source, { after, body, count }));
    setAdding(null);
    setOpen(null);
  };
  const composer = (after: RoundCard | null) => {
    const below = after ? (checks[after.index + after.last - after.first]?.worked ?? 0) : 0;
    return (
      <AddRound
        key={`${after?.line}-${below}`}
        below={below}
        ring={ring}
        last={after?.body ?? null}
        word={word}
        onAdd={add(after)}
        onLeave={() => setAdding(null)}
      />
    );
  };

  return (
    <View gap="$3">
      <Problems problems={general} onApply={edits.apply} showLine />
      {cards.length === 0 && adding === null ? (
        <Empty>{t`No rounds yet. Add the first one here, or write it in the text.`}</Empty>
      ) : null}
      <View render="ol" margin={0} padding={0} aria-label={t`Rounds of ${source.name}`}>
        {cards.slice(0, shown).map((card, at) => {
          const own = checks.slice(card.index, card.index + card.last - card.first + 1);
          return [
            <RoundCardRow
              key={`${at}-${card.line}`}
              card={card}
              checks={own}
              problems={part.problems.filter(
                (problem) => problem.line === card.line && problem.round !== undefined,
              )}
              stopAfter={own.some((_, i) => stops.has(card.index + i + 1))}
              open={open === card.line}
              howTo={
                open === card.line ? (
                  <HowTo
                    techniques={techniquesOf(part.fabric, card.index + 1, terms.value)}
                    header={analysis.pattern.header}
                  />
                ) : null
              }
              edges={{ first: at === 0, last: at === cards.length - 1 }}
              onToggle={() => {
                setOpen(open === card.line ? null : card.line);
                setAdding(null);
              }}
              onApply={edits.apply}
              onWrite={(body) => {
                editor.step(setRound(text, card, body));
                setOpen(null);
              }}
              onAct={(kind) => act(card, kind)}
            />,
            adding === card.line ? (
              <View
                render="li"
                key={`add-${card.line}`}
                style={{ listStyleType: 'none' }}
                paddingVertical="$3"
              >
                {composer(card)}
              </View>
            ) : null,
          ];
        })}
      </View>
      {cards.length > shown ? (
        <Press
          label={t`Show the next of ${cards.length - shown} more lines`}
          onPress={() => setShown(shown + cardsAtOnce)}
        />
      ) : null}
      {adding === 'end' ? (
        composer(cards.at(-1) ?? null)
      ) : (
        <WaysOn
          part={part}
          onAdd={() => {
            setAdding('end');
            setOpen(null);
          }}
        />
      )}
      <Problems problems={[...others, ...about]} onApply={edits.apply} showLine />
      {free.length > 0 ? (
        <Notice tone="plain">{t`Loops left free: ${free.map((edge) => t`R${edge.round}, ${sayTerm(edge.loop)} loops, ${edge.count}`).join('; ')}.`}</Notice>
      ) : null}
      {notes.length > 0 ? (
        <Notice tone="plain">
          {t`Kept as notes, not counted: ${notes
            .slice(0, mostNotes)
            .map((note) => t`line ${note.line}, “${note.text.slice(0, 200)}”`)
            .join('; ')}${notes.length > mostNotes ? t`; and ${notes.length - mostNotes} more` : ''}`}
        </Notice>
      ) : null}
      {checks.length > 0 && part.problems.every((problem) => problem.round === undefined) ? (
        <Notice tone="good">{t`every round adds up.`}</Notice>
      ) : null}
    </View>
  );
}

/** More rounds, written or found by the hands, and the outline they make drawn another way. */
function WaysOn({ part, onAdd }: { part: PartAnalysis; onAdd: () => void }) {
  const router = useRouter();
  const { editor, idOf } = useToy();
  const rounds = part.checks.length;
  const goTo = (page: string) => () => router.push(`/toy/${editor.id}/${page}?part=${idOf(part)}`);
  return (
    <View flexDirection="row" flexWrap="wrap" gap="$2">
      <Press grow tone={rounds === 0 ? 'primary' : 'plain'} label={t`Add a round`} onPress={onAdd} />
      <Press grow role="link" label={t`Write as I go`} onPress={goTo('write')} />
      {rounds > 1 ? (
        <Press grow role="link" label={t`Rounder, longer, wider`} onPress={goTo('stretch')} />
      ) : null}
    </View>
  );
}
