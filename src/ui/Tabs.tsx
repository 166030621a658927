import { Pressable } from 'react-native';
import { View } from '@tamagui/core';
import { Options } from './Choice';
import { Body } from './text';

/** The pages of one thing, where the thumb rests. The chosen one carries a bar and bold type. */
export function Tabs<K extends string>({
  label,
  tabs,
  chosen,
  onChoose,
}: {
  label: string;
  tabs: readonly { key: K; label: string; mark?: { count: number; word: string } }[];
  chosen: K;
  onChoose: (key: K) => void;
}) {
  return (
    <Options
      role="tablist"
      label={label}
      flexDirection="row"
      borderTopWidth={1}
      borderColor="$line"
      backgroundColor="$sheet"
    >
      {tabs.map((tab) => (
        <Pressable
          key={tab.key}
          role="tab"
          aria-label={tab.mark ? `${tab.label}, ${tab.mark.count} ${tab.mark.word}` : tab.label}
          aria-selected={tab.key === chosen}
          onPress={() => onChoose(tab.key)}
          style={{ flex: 1 }}
        >
          <View
            minHeight={56}
            alignItems="center"
            justifyContent="center"
            borderTopWidth={3}
            borderColor={tab.key === chosen ? '$color' : 'transparent'}
          >
            <View position="relative">
              <Body
                numberOfLines={1}
                fontSize="$2"
                color={tab.key === chosen ? '$color' : '$quiet'}
                fontWeight={tab.key === chosen ? '700' : '400'}
              >
                {tab.label}
              </Body>
              {tab.mark ? <Count of={tab.mark.count} /> : null}
            </View>
          </View>
        </Pressable>
      ))}
    </Options>
  );
}

/** How many, over the corner of a word: beside it there is no room on a phone. */
function Count({ of }: { of: number }) {
  return (
    <View
      position="absolute"
      top={-13}
      right={-9}
      minWidth={18}
      height={18}
      paddingHorizontal={4}
      borderRadius={9}
      alignItems="center"
      justifyContent="center"
      backgroundColor="$color"
    >
      <Body fontSize={11} lineHeight={16} fontWeight="700" color="$sheet">
        {of}
      </Body>
    </View>
  );
}
