import { useMemo } from 'react';
import { Pressable } from 'react-native';
import { View } from '@tamagui/core';
import { applyEdits } from '../../core/notation/applyEdits';
import type { EyeRule } from '../../core/place/eyeSentence';
import { writeEyes } from '../../core/place/eyeSentence';
import { analyseToy, type PartAnalysis } from '../../core/toy/analyse';
import { useToy } from '../../data/useToy';
import { ToyPicture } from '../../ui/ToyPicture';
import { Body, Quiet } from '../../ui/text';
import { usePartEdits } from './usePartEdits';

/** The face as it is beside its nearest arrangements that are at least as well centred, as pictures; a tap keeps one. */
export function Arrangements({ part }: { part: PartAnalysis }) {
  const { text } = useToy();
  const edits = usePartEdits(part);
  const others = useMemo(() => {
    const { eyes, source, fabric } = part;
    if (!eyes) return [];
    const lines = text.split(/\r\n|\n|\r/);
    const gap = (by: number): [number, number] | null => {
      const [lower, upper] = [fabric.label[eyes.round - 1 + by], fabric.label[eyes.round + by]];
      return lower && upper ? [lower, upper] : null;
    };
    const { rule } = eyes;
    const wishes: Partial<EyeRule>[] = [{ apart: rule.apart - 1 }, { apart: rule.apart + 1 }, ...[1, -1].flatMap((by) => { const next = gap(by); return next ? [{ gap: next }] : []; }), { apart: rule.apart - 2 }, { apart: rule.apart + 2 }];
    return wishes.flatMap((wish) => {
      const next = { ...rule, ...wish };
      if (next.apart < 1 || next.apart >= eyes.posts[0].of) return [];
      const toy = analyseToy(applyEdits(text, [writeEyes(source, lines, next)]));
      const same = toy.parts.find((candidate) => candidate.source.id === source.id);
      return same?.eyes && same.eyes.problems.every((problem) => problem.severity !== 'error') ? [{ wish, toy: { ...toy, parts: [same] }, eyes: same.eyes }] : [];
    }).sort((a, b) => Math.abs(a.eyes.missStitches) - Math.abs(b.eyes.missStitches)).slice(0, 2);
  }, [part, text]);
  const { analysis } = useToy();
  if (!part.eyes || others.length === 0) return null;
  const cards = [{ wish: null, toy: { ...analysis, parts: [part] }, eyes: part.eyes }, ...others];
  return (
    <View gap="$1">
      <Quiet>Side by side; tap one to keep it</Quiet>
      <View flexDirection="row" gap="$2" role="group" aria-label="Arrangements">
        {cards.map(({ wish, toy, eyes }) => {
          const words = `${eyes.rule.gap.join('|')}, ${eyes.rule.apart} apart`;
          const off = Math.abs(eyes.missStitches) < 0.05 ? 'centred' : `${(Math.round(Math.abs(eyes.missMm) * 10) / 10).toFixed(1)} mm off`;
          return (
            <Pressable key={words} style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0 }} role="radio" aria-checked={wish === null} aria-label={`${words}, ${off}${wish === null ? ', as it is' : ''}`} onPress={() => { if (wish) edits.change(wish); }}>
              <View alignItems="center" gap="$1" padding="$1" borderRadius="$3" borderWidth={2} borderColor={wish === null ? '$color' : '$line'}>
                <ToyPicture toy={toy} size={96} />
                <Body fontSize="$2" lineHeight="$2" fontWeight="700">{words}</Body>
                <Quiet>{off}</Quiet>
              </View>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
