import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_700Bold } from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold';
import { BricolageGrotesque_700Bold } from '@expo-google-fonts/bricolage-grotesque/700Bold';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { useEffect } from 'react';
import { useColorScheme } from 'react-native';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { TamaguiProvider, View } from '@tamagui/core';
import { readToysWith } from '../src/data/reading';
import { workbench } from '../src/features/pages';
import { Guard } from '../src/ui/Guard';
import { keepOffline } from '../src/ui/offline';
import { Press } from '../src/ui/Press';
import { config } from '../src/ui/tamagui.config';

const client = new QueryClient({
  defaultOptions: {
    queries: { retry: 1, refetchOnWindowFocus: false, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
});

readToysWith(workbench);

export default function RootLayout() {
  const scheme = useColorScheme() === 'dark' ? 'dark' : 'light';
  useEffect(keepOffline, []);
  // The text stands in the fallback face until the fonts are there; a font that fails to load must not hold up the maker.
  useFonts({
    AtkinsonHyperlegibleNext_400Regular,
    AtkinsonHyperlegibleNext_700Bold,
    BricolageGrotesque_700Bold,
  });
  return (
    <SafeAreaProvider>
      <TamaguiProvider config={config} defaultTheme={scheme}>
        <QueryClientProvider client={client}>
          <View flex={1} minHeight={0} backgroundColor="$background">
            <Pages />
          </View>
        </QueryClientProvider>
      </TamaguiProvider>
    </SafeAreaProvider>
  );
}

/** Each page keeps what goes wrong in it to itself; this is for what goes wrong around them, where only loading anew helps. */
function Pages() {
  return (
    <Guard what="Hoppla" actions={<Press label="To the shelf" onPress={() => window.location.assign('/')} />}>
      <Slot />
    </Guard>
  );
}
