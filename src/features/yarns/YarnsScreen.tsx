import { t } from '../../core/words/language';
import { sayTerm } from '../../core/words/said';
import { useRouter } from 'expo-router';
import { Pressable } from 'react-native';
import { View } from '@tamagui/core';
import { Card } from '../../ui/layout';
import { gaugeOfYarn, leanOfYarn, type Yarn } from '../../core/supplies/yarn';
import { yarnWeight } from '../../core/shape/yarnWeights';
import { useYarns } from '../../data/useYarns';
import { Notice } from '../../ui/Notice';
import { Empty, Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Quiet, Title } from '../../ui/text';

/** How a yarn works up, in a line. */
export function yarnLine(yarn: Yarn): string {
  const { widthMm, heightMm, assumed } = gaugeOfYarn(yarn);
  return t`${widthMm} × ${heightMm} mm a stitch, ${assumed ? t`assumed` : t`measured`}; leans ${leanOfYarn(yarn)} a round, ${yarn.wandered === null ? t`assumed` : t`counted`}`;
}

/** The maker's yarns with their hooks: measured once, used by every toy. */
export function YarnsScreen() {
  const router = useRouter();
  const { data: yarns, error, refetch } = useYarns();
  return (
    <Page
      title={t`Yarn shelf`}
      aside={t`Measured once, used by every toy`}
      back={{ name: t`Back to the toys`, go: () => router.replace('/') }}
      foot={<Press tone="primary" label={t`Add a yarn`} onPress={() => router.push('/yarns/new')} />}
    >
      {error ? (
        <Notice
          tone="wrong"
          actions={<Press label={t`Try again`} onPress={() => void refetch()} />}
        >{t`The yarns could not be read.`}</Notice>
      ) : null}
      {yarns?.length === 0 ? (
        <Empty>{t`No yarn is kept yet. Add the one you are working with: ten stitches and a ruler are enough.`}</Empty>
      ) : null}
      <View render="ul" margin={0} padding={0} gap="$3" aria-label={t`Yarns`}>
        {(yarns ?? []).map((yarn) => (
          <View render="li" key={yarn.id} style={{ listStyleType: 'none' }}>
            <Pressable
              role="link"
              aria-label={t`Open ${yarn.name}`}
              onPress={() => router.push(`/yarns/${yarn.id}`)}
            >
              <Card>
                <Title render="h2" margin={0}>
                  {yarn.name}
                </Title>
                <Body>{t`${sayTerm(yarnWeight(yarn.weight).name)}, ${yarn.hookMm} mm hook`}</Body>
                <Quiet>{yarnLine(yarn)}</Quiet>
              </Card>
            </Pressable>
          </View>
        ))}
      </View>
    </Page>
  );
}
