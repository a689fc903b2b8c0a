import Plus from 'lucide-react-native/icons/plus';
import { router } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { FlatList, Pressable, Text, TextInput, View } from 'react-native';

import type { RepairLine } from '@core/record/model';

import { Unreachable } from '../api/client';
import { useRepairs } from '../api/useRepairs';
import { ConnectionSign } from '../frame/ConnectionSign';
import { Button } from '../shared/Button';
import { EmptyState } from '../shared/EmptyState';
import { GroupHeading } from '../shared/Heading';
import { Loading } from '../shared/Loading';
import { Mark } from '../shared/Mark';
import { useWide } from '../shared/useWide';
import { colours } from '../theme/colours';
import { JobStrip } from './JobStrip';
import { OpenRepairFile } from './OpenRepairFile';
import { RepairCard } from './RepairCard';

/** All repairs, with the stage each has reached and the next thing to do. */
export function HomeScreen() {
  const [typed, setTyped] = useState('');
  const search = useDeferredValue(typed.trim());
  const list = useRepairs(search);
  const wide = useWide();
  const lines = list.data?.pages.flatMap((page) => page.repairs) ?? [];
  const { total = 0, more = false } = list.data?.pages[0] ?? {};
  const count = more ? `more than ${total}` : String(total);

  return (
    <View className="flex-1 items-center bg-paper">
      <View role="main" className={`w-full flex-1 ${wide ? 'max-w-[1040px]' : ''}`}>
        <View className="flex-row flex-wrap items-center justify-between gap-y-2 px-4 pb-3 pt-5">
          <View className="flex-row items-center gap-3">
            <Mark />
            <Text role="heading" aria-level={1} className="font-semibold text-[25px] text-ink">
              Even Spare
            </Text>
          </View>
          <Button label="Workshop" onPress={() => router.push('/workshop')} />
        </View>
        <ConnectionSign />
        <View className="px-4 pb-3">
          <TextInput
            accessibilityLabel="Find a repair or a size"
            placeholder="Find a repair, a size, a spare…"
            placeholderTextColor={colours.muted}
            value={typed}
            onChangeText={setTyped}
            className="h-12 rounded border border-rule bg-card px-3.5 font-sans text-[16px] text-ink focus:outline focus:outline-2 focus:outline-offset-2 focus:outline-green"
          />
        </View>
        <FlatList
          key={wide ? 'wide' : 'phone'}
          data={lines}
          numColumns={wide ? 2 : 1}
          keyExtractor={(line: RepairLine) => line.id}
          renderItem={({ item }) => <RepairCard line={item} half={wide} />}
          contentContainerClassName="px-4 pb-28 gap-2.5"
          {...(wide ? { columnWrapperClassName: 'gap-2.5' } : {})}
          ListHeaderComponent={
            <View className="gap-3">
              {search ? null : <JobStrip />}
              <View className="flex-row items-center justify-between">
                <GroupHeading>
                  {lines.length > 0 ? `${search ? 'Found' : 'On the go'} · ${count}` : ''}
                </GroupHeading>
                <OpenRepairFile />
              </View>
            </View>
          }
          ListEmptyComponent={
            list.isPending ? (
              <Loading what="Fetching the list…" />
            ) : (
              <Nothing search={search} error={list.error} retry={() => void list.refetch()} />
            )
          }
          ListFooterComponent={
            <View className="gap-2">
              {list.hasNextPage ? (
                <Button
                  label="Show more"
                  busy={list.isFetchingNextPage}
                  onPress={() => void list.fetchNextPage()}
                />
              ) : null}
              {search ? null : (
                <View className="items-start">
                  <Button tone="quiet" label="Deleted repairs" onPress={() => router.push('/deleted')} />
                </View>
              )}
            </View>
          }
        />
        <Pressable
          accessibilityRole="link"
          accessibilityLabel="New repair"
          onPress={() => router.push('/new')}
          className="absolute bottom-6 right-4 min-h-[52px] flex-row items-center gap-2 rounded-lg bg-green px-6 shadow-md active:opacity-80"
        >
          <Plus size={20} color={colours.card} />
          <Text className="font-semibold text-[17px] text-card">New repair</Text>
        </Pressable>
      </View>
    </View>
  );
}

function Nothing({ search, error, retry }: { search: string; error: Error | null; retry(): void }) {
  if (error) {
    return (
      <EmptyState
        text={
          error instanceof Unreachable
            ? 'The server can’t be reached. Start it on the bench computer, then try again.'
            : error.message
        }
        action={{ label: 'Try again', onPress: retry }}
      />
    );
  }
  if (search)
    return (
      <EmptyState text={`No repair has “${search}” in it. Try fewer letters, or a size such as 38.2.`} />
    );
  return (
    <EmptyState
      text="No repairs yet. Start with the broken part: give it a name, then measure it."
      action={{ label: 'Begin a repair', onPress: () => router.push('/new') }}
    />
  );
}
