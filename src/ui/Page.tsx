import type { ReactNode } from 'react';
import { useSafeAreaInsets } from 'react-native-safe-area-context';
import { Text, View } from '@tamagui/core';
import { Fill, Row } from './layout';
import { Icon } from './Icon';
import { Press } from './Press';
import { Scroll } from './Scroll';
import { Body, Quiet } from './text';

interface PageProps {
  title: string;
  /** beside the title, quietly: `Otter · saved` */
  aside?: ReactNode;
  back?: { name: string; go: () => void };
  actions?: ReactNode;
  /** stays under the thumb at the bottom */
  foot?: ReactNode;
  /** the page scrolls as a whole; else its parts do */
  scrolls?: boolean;
  /** cards that stand beside each other where there is room */
  broad?: boolean;
  children: ReactNode;
}

/** The title of a screen, the way back, and what is done from there. */
function Head({ title, aside, back, actions }: Pick<PageProps, 'title' | 'aside' | 'back' | 'actions'>) {
  return (
    <Row render="header" paddingHorizontal="$2" minHeight={64} paddingVertical="$1">
      {back ? (
        <Press tone="quiet" name={back.name} icon={<Icon name="back" />} onPress={back.go} />
      ) : (
        <View width={8} />
      )}
      <View flexGrow={1} flexShrink={1} flexBasis={0} minWidth={0}>
        <Text
          render="h1"
          margin={0}
          fontFamily="$heading"
          fontWeight="700"
          fontSize="$5"
          lineHeight="$5"
          color="$color"
          numberOfLines={1}
        >
          {title}
        </Text>
        {typeof aside === 'string' ? <Quiet numberOfLines={1}>{aside}</Quiet> : aside}
      </View>
      {actions}
    </Row>
  );
}

/** The frame of every screen: title above, contents, what the thumb needs below. */
export function Page({
  title,
  aside,
  back,
  actions,
  foot,
  scrolls = true,
  broad = false,
  children,
}: PageProps) {
  const insets = useSafeAreaInsets();
  const column = { width: '100%', maxWidth: 760, alignSelf: 'center' } as const;
  return (
    <Fill backgroundColor="$background" paddingTop={insets.top}>
      <Head title={title} aside={aside} back={back} actions={actions} />
      <Fill render="main">
        {scrolls ? (
          <Scroll label={title}>
            <View {...column} maxWidth={broad ? 1240 : 760} gap="$4">
              {children}
            </View>
          </Scroll>
        ) : (
          children
        )}
      </Fill>
      {foot ? (
        <View
          borderTopWidth={1}
          borderColor="$line"
          backgroundColor="$sheet"
          paddingHorizontal="$4"
          paddingVertical="$2"
          paddingBottom={Math.max(8, insets.bottom)}
        >
          <View {...column}>{foot}</View>
        </View>
      ) : null}
    </Fill>
  );
}

/** A quiet line with nothing to do but read, for empty places. */
export function Empty({ children }: { children: ReactNode }) {
  return (
    <Body color="$quiet" textAlign="center" padding="$5">
      {children}
    </Body>
  );
}
