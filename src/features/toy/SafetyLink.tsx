import { t } from '../../core/words/language';
import { useRouter } from 'expo-router';
import { Pressable } from 'react-native';
import { audienceSaid } from '../../core/safety/audience';
import { safetyOf } from '../../core/toy/safetyOf';
import { useRules } from '../../data/rules';
import { useToy } from '../../data/useToy';
import { Card } from '../../ui/layout';
import { Body, Title } from '../../ui/text';

/** For whom the toy is and what screening found, on the way to its page. */
export function SafetyLink() {
  const router = useRouter();
  const { analysis, editor } = useToy();
  const { book } = useRules();
  const { audience, findings } = safetyOf(analysis, book);
  const count = (severity: string) => findings.filter((one) => one.severity === severity).length;
  const [stops, looks] = [count('error'), count('warning')];
  const found = [
    ...(stops > 0 ? [t`${stops} to stop for`] : []),
    ...(looks > 0 ? [t`${looks} to look at`] : []),
  ].join(', ');
  const whom = audience ? t`For ${audienceSaid[audience]}` : t`For whom is it?`;
  return (
    <Pressable role="link" aria-label={t`Child-safe`} onPress={() => router.push(`/toy/${editor.id}/safety`)}>
      <Card gap="$1">
        <Title render="h2" margin={0} fontSize="$4" lineHeight="$4">{t`Child-safe`}</Title>
        <Body color={stops > 0 ? '$danger' : '$color'}>
          {whom}
          {found ? `${audience ? ':' : ''} ${found}` : ''}
        </Body>
      </Card>
    </Pressable>
  );
}
