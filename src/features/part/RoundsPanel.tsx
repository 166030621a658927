import { View } from '@tamagui/core';
import type { PartAnalysis } from '../../core/toy/analyse';
import { useToy } from '../../data/useToy';
import { Notice } from '../../ui/Notice';
import { Empty } from '../../ui/Page';
import { Body, Quiet } from '../../ui/text';
import { Problems } from './Problems';
import { usePartEdits } from './usePartEdits';

/** Every round as read, with its count, and a plain message where the count does not follow. */
export function RoundsPanel({ part }: { part: PartAnalysis }) {
  const { analysis } = useToy();
  const edits = usePartEdits(part);
  const { source, checks } = part;
  const notes = analysis.pattern.notes;
  const about = part.problems.filter((problem) => problem.round === undefined);
  const general = analysis.pattern.problems;
  const stops = new Set(part.stops.stops.map((stop) => stop.after));
  return (
    <View gap="$3">
      <Problems problems={general} onApply={edits.apply} showLine />
      {checks.length === 0 ? <Empty>No rounds yet. Write the first one in the text, for example: R1: 6 sc in magic ring [6]</Empty> : null}
      <View render="ol" margin={0} padding={0} aria-label={`Rounds of ${source.name}`}>
        {source.rounds.map((round, index) => {
          const check = checks[index];
          const mine = part.problems.filter((problem) => problem.round === round.number && problem.line === round.line);
          const repeated = source.rounds[index - 1]?.line === round.line;
          const { label, total } = round.work;
          // The stated total stands beside the count, not in the words.
          const body = (total ? round.text.slice(label?.span.to ?? 0, total.span.from).replace(/[\s([{=<-]*(?:total:?)?\s*$/i, '') : round.text.slice(label?.span.to ?? 0)).trim();
          return (
            <View render="li" key={`${round.number}-${index}`} style={{ listStyleType: 'none' }} borderBottomWidth={1} borderColor="$line" paddingVertical="$2" gap="$2">
              <View flexDirection="row" gap="$3" alignItems="baseline">
                <Body width={48} fontWeight="700">{round.row ? 'Row ' : 'R'}{round.number}</Body>
                <Body flexGrow={1} flexShrink={1} flexBasis={0} color={repeated ? '$quiet' : '$color'}>{repeated ? 'the same' : body}</Body>
                <View alignItems="flex-end">
                  <Body fontWeight="700" color={check?.ok === false ? '$danger' : '$color'}>{check?.worked ?? 0}</Body>
                  {check && check.stated !== null && check.stated !== check.worked ? <Quiet color="$danger">says {check.stated}</Quiet> : null}
                </View>
              </View>
              {stops.has(round.number) ? <Quiet>Stop after this round</Quiet> : null}
              {mine.length > 0 ? <Problems problems={mine} onApply={edits.apply} /> : null}
            </View>
          );
        })}
      </View>
      <Problems problems={about.filter((problem) => !part.eyes?.problems.includes(problem))} onApply={edits.apply} showLine />
      {notes.length > 0 ? (
        <Notice tone="plain">Kept as notes, not counted: {notes.map((note) => `line ${note.line}, “${note.text}”`).join('; ')}</Notice>
      ) : null}
      {checks.length > 0 && part.problems.every((problem) => problem.round === undefined) ? <Notice tone="good">every round adds up.</Notice> : null}
    </View>
  );
}
