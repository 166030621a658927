import { t } from '../src/core/words/language';
import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_700Bold } from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold';
import { BricolageGrotesque_700Bold } from '@expo-google-fonts/bricolage-grotesque/700Bold';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { FontDisplay, useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { useEffect, useState } from 'react';
import { useColorScheme } from 'react-native';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { TamaguiProvider, View } from '@tamagui/core';
import { isEnglishOnly, takeUpLanguage } from '../src/data/language';
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

/** So long the first page waits for its fonts, which the document asks for before anything else. */
const fontsWaitMs = 600;
/** What is not there then stays away until the next visit: letters that change would move buttons from under a thumb. */
const display = FontDisplay.OPTIONAL;
const fonts = {
  AtkinsonHyperlegibleNext_400Regular: { uri: AtkinsonHyperlegibleNext_400Regular, display },
  AtkinsonHyperlegibleNext_700Bold: { uri: AtkinsonHyperlegibleNext_700Bold, display },
  BricolageGrotesque_700Bold: { uri: BricolageGrotesque_700Bold, display },
};

/** Whether the letters stand as they will stay; fonts that fail or are slow must not hold up the maker. */
function useLetters(): boolean {
  const [loaded, failed] = useFonts(fonts);
  const [waited, setWaited] = useState(false);
  useEffect(() => {
    const soon = setTimeout(() => setWaited(true), fontsWaitMs);
    return () => clearTimeout(soon);
  }, []);
  return loaded || failed !== null || waited;
}

/** Whether words can be said: in English at once, in another language when its file is there. */
function useLanguageStands(): boolean {
  const [stands, setStands] = useState(isEnglishOnly);
  useEffect(() => void takeUpLanguage().then(() => setStands(true)), []);
  return stands;
}

export default function RootLayout() {
  const scheme = useColorScheme() === 'dark' ? 'dark' : 'light';
  useEffect(keepOffline, []);
  const lettersStand = useLetters();
  const languageStands = useLanguageStands();
  return (
    <SafeAreaProvider>
      <TamaguiProvider config={config} defaultTheme={scheme}>
        <QueryClientProvider client={client}>
          <View flex={1} minHeight={0} backgroundColor="$background">
            {lettersStand && languageStands ? <Pages /> : null}
          </View>
        </QueryClientProvider>
      </TamaguiProvider>
    </SafeAreaProvider>
  );
}

/** Each page keeps what goes wrong in it to itself; this is for what goes wrong around them, where only loading anew helps. */
function Pages() {
  return (
    <Guard
      what="Hoppla"
      actions={<Press label={t`To the shelf`} onPress={() => window.location.assign('/')} />}
    >
      <Slot />
    </Guard>
  );
}
