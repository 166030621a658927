import { t, tAs } from '../../core/words/language';
import { View } from '@tamagui/core';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { notationText } from '../../data/notationText';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Body, Title } from '../../ui/text';

/** Everything that is read, by example: the page of the docs, in the app. */
export function NotationScreen() {
  const router = useRouter();
  const { data, error, refetch } = useQuery({
    queryKey: ['notation'],
    queryFn: notationText,
    staleTime: Infinity,
  });
  const [, ...lines] = (data ?? '').split('\n');
  return (
    <Page
      title={t`What Hoppla reads`}
      back={{
        name: tAs('leave')`Back`,
        go: () => (router.canGoBack() ? router.back() : router.replace('/')),
      }}
    >
      {error ? (
        <Notice
          tone="wrong"
          actions={<Press label={t`Try again`} onPress={() => void refetch()} />}
        >{t`The page could not be opened.`}</Notice>
      ) : null}
      <View gap="$1">
        {lines.map((line, index) => {
          if (line.startsWith('## '))
            return (
              <Title key={index} render="h2" margin={0} marginTop={20}>
                {line.slice(3)}
              </Title>
            );
          const example = line.startsWith('    ');
          if (!line.trim()) return null;
          return (
            <View
              key={index}
              borderLeftWidth={example ? 3 : 0}
              borderColor="$edge"
              paddingLeft={example ? 12 : 0}
            >
              <Body>
                {line
                  .trim()
                  .split('`')
                  .map((words, at) =>
                    at % 2 === 1 ? (
                      <Body key={at} fontWeight="700">
                        {words}
                      </Body>
                    ) : (
                      words
                    ),
                  )}
              </Body>
            </View>
          );
        })}
      </View>
    </Page>
  );
}
