import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import { useState, type ReactNode } from 'react';
import { Pressable } from 'react-native';
import type { RoundCheck } from '../../core/fabric/checkRounds';
import type { Problem, Suggestion } from '../../core/notation/problem';
import type { RoundCard } from '../../core/edit/editRounds';
import { Field } from '../../ui/Field';
import { Press } from '../../ui/Press';
import { Body, Quiet } from '../../ui/text';
import { Problems } from './Problems';

interface RoundCardRowProps {
  card: RoundCard;
  checks: RoundCheck[];
  problems: Problem[];
  stopAfter: boolean;
  open: boolean;
  /** how its first round is done */
  howTo: ReactNode;
  edges: { first: boolean; last: boolean };
  onToggle: () => void;
  onApply: (suggestion: Suggestion) => void;
  onWrite: (body: string) => void;
  onAct: (act: 'below' | 'duplicate' | 'up' | 'down' | 'delete') => void;
}

/** One line of rounds: what it says and makes; opened, what can be done with it. */
export function RoundCardRow({
  card,
  checks,
  problems,
  stopAfter,
  open,
  howTo,
  edges,
  onToggle,
  onApply,
  onWrite,
  onAct,
}: RoundCardRowProps) {
  const [writing, setWriting] = useState<string | null>(null);
  const many = card.last - card.first + 1;
  const label = `${card.row ? 'Row ' : 'R'}${card.first}${many > 1 ? `–${card.last}` : ''}`;
  const [check] = checks;
  const last = checks.at(-1);
  const wrong = checks.some(({ ok }) => !ok);
  const made =
    check && last && check.worked !== last.worked
      ? `${check.worked}–${last.worked}`
      : `${check?.worked ?? 0}`;
  const off = checks.find(({ stated, worked }) => stated !== null && stated !== worked);
  return (
    <View
      render="li"
      style={{ listStyleType: 'none' }}
      borderBottomWidth={1}
      borderColor="$line"
      paddingVertical="$1"
      gap="$2"
    >
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={t`${label}: ${card.body}, ${made} stitches`}
        onPress={onToggle}
      >
        <View flexDirection="row" gap="$2" alignItems="baseline" minHeight={44} paddingVertical="$2">
          <Body width={64} fontWeight="700" textAlign="left">
            {label}
          </Body>
          <Body flexGrow={1} flexShrink={1} flexBasis={0} textAlign="left">
            {card.body || t`nothing yet`}
          </Body>
          <View alignItems="flex-end">
            <Body fontWeight="700" color={wrong ? '$danger' : '$color'}>
              {made}
            </Body>
            {off ? <Quiet color="$danger">{t`says ${off.stated}`}</Quiet> : null}
          </View>
        </View>
      </Pressable>
      {stopAfter ? <Quiet>{t`Stop after round ${card.last}`}</Quiet> : null}
      {problems.length > 0 ? <Problems problems={problems} onApply={onApply} /> : null}
      {open && writing === null ? (
        <View flexDirection="row" flexWrap="wrap" gap="$2" paddingBottom="$2">
          <Press label={t`Add below`} onPress={() => onAct('below')} />
          <Press label={t`Change`} onPress={() => setWriting(card.body)} />
          <Press label={t`Duplicate`} onPress={() => onAct('duplicate')} />
          <Press label={t`Move up`} disabled={edges.first} onPress={() => onAct('up')} />
          <Press label={t`Move down`} disabled={edges.last} onPress={() => onAct('down')} />
          <Press tone="danger" label={t`Delete`} onPress={() => onAct('delete')} />
        </View>
      ) : null}
      {open && writing === null ? howTo : null}
      {open && writing !== null ? (
        <View gap="$2" paddingBottom="$2">
          <Field
            label={t`What ${label} says`}
            value={writing}
            onChange={setWriting}
            onDone={() => {
              onWrite(writing);
              setWriting(null);
            }}
          />
          <View flexDirection="row" gap="$2">
            <Press
              grow
              tone="primary"
              label={t`Write it`}
              onPress={() => {
                onWrite(writing);
                setWriting(null);
              }}
            />
            <Press label={t`Leave it`} onPress={() => setWriting(null)} />
          </View>
        </View>
      ) : null}
    </View>
  );
}
