import '@ui/theme/global.css';

import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { Slot } from 'expo-router';
import Head from 'expo-router/head';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { SafeAreaProvider } from 'react-native-safe-area-context';

import { watchCallsOnly } from '@ui/api/connection';
import { createQueryClient, persistOptions } from '@ui/api/queryClient';
import { NoticeBar } from '@ui/frame/NoticeBar';
import { ConflictSheet } from '@ui/frame/ConflictSheet';
import { useAppFonts } from '@ui/theme/useAppFonts';

watchCallsOnly();

export default function Layout() {
  const ready = useAppFonts();
  const [client] = useState(createQueryClient);
  const persist = useMemo(() => persistOptions(window.localStorage), []);
  if (!ready) return null;
  return (
    <PersistQueryClientProvider
      client={client}
      persistOptions={persist}
      // What was queued before the page was left goes out now.
      onSuccess={() => void client.resumePausedMutations()}
    >
      <Head>
        <title>Even Spare</title>
      </Head>
      <SafeAreaProvider>
        <View className="h-full bg-paper">
          <Slot />
          <NoticeBar />
          <ConflictSheet />
        </View>
      </SafeAreaProvider>
    </PersistQueryClientProvider>
  );
}
