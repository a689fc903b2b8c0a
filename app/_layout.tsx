import '@ui/theme/global.css';

import { QueryClientProvider } from '@tanstack/react-query';
import { Slot, useSegments } from 'expo-router';
import Head from 'expo-router/head';
import { useState } from 'react';
import { View } from 'react-native';
import { SafeAreaProvider } from 'react-native-safe-area-context';

import { watchCallsOnly } from '@ui/api/connection';
import { createQueryClient } from '@ui/api/queryClient';
import { useKeptQueue } from '@ui/api/useKeptQueue';
import { NoticeBar } from '@ui/frame/NoticeBar';
import { Glossary } from '@ui/later/Glossary';
import { Unsettled } from '@ui/later/Unsettled';
import { useAhead } from '@ui/later/later';
import { PadHost } from '@ui/shared/pad/PadHost';
import { useLitPage } from '@ui/preferences/benchLight';
import { useTypedPage } from '@ui/preferences/typeSize';
import { useAppFonts } from '@ui/theme/useAppFonts';

watchCallsOnly();

export { BrokenApp as ErrorBoundary } from '@ui/report/BrokenApp';

export default function Layout() {
  const ready = useAppFonts();
  const [client] = useState(createQueryClient);
  const restored = useKeptQueue(client);
  useAhead();
  useLitPage();
  useTypedPage();
  // A repair has its own place for it, in its heading.
  const inRepair = (useSegments() as string[])[0] === 'repair';
  if (!ready || !restored) return null;
  return (
    <QueryClientProvider client={client}>
      <Head>
        <title>Even Spare</title>
      </Head>
      <SafeAreaProvider>
        <View className="h-full bg-paper">
          <PadHost>
            <View className="min-h-0 flex-1">
              <Slot />
            </View>
          </PadHost>
          {inRepair ? null : <NoticeBar />}
          <Unsettled />
          <Glossary />
        </View>
      </SafeAreaProvider>
    </QueryClientProvider>
  );
}
