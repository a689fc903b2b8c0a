import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import { router } from 'expo-router';
import { FlatList, View } from 'react-native';

import type { RepairLine } from '@core/record/model';

import { Unreachable } from '../api/client';
import { useBringBack, useRepairs } from '../api/useRepairs';
import { ConnectionSign } from '../frame/ConnectionSign';
import { Button, IconButton } from '../shared/Button';
import { EmptyState } from '../shared/EmptyState';
import { Heading } from '../shared/Heading';
import { Loading } from '../shared/Loading';
import { colours } from '../theme/colours';
import { RepairCard } from './RepairCard';

/** Repairs that were deleted. They stay until they are brought back. */
export function DeletedScreen() {
  const list = useRepairs('', { removed: true });
  const bringBack = useBringBack();
  const lines = list.data?.pages.flatMap((page) => page.repairs) ?? [];
  return (
    <View className="flex-1 items-center bg-paper">
      <View role="main" className="w-full max-w-[640px] flex-1">
        <View className="flex-row items-center gap-1 px-2 pb-1 pt-3">
          <IconButton label="Back to the list of repairs" onPress={() => router.navigate('/')}>
            <ChevronLeft size={26} color={colours.ink} />
          </IconButton>
          <Heading level={1}>Deleted repairs</Heading>
        </View>
        <ConnectionSign />
        <FlatList
          data={lines}
          keyExtractor={(line: RepairLine) => line.id}
          renderItem={({ item }) => (
            <View className="gap-1.5">
              <RepairCard line={item} half={false} />
              <View className="items-end">
                <Button
                  label="Bring it back"
                  name={`Bring it back: ${item.name}`}
                  busy={bringBack.isPending && bringBack.variables === item.id}
                  onPress={() => bringBack.mutate(item.id)}
                />
              </View>
            </View>
          )}
          contentContainerClassName="gap-4 p-4"
          ListEmptyComponent={
            list.isPending ? (
              <Loading what="Fetching the list…" />
            ) : (
              <EmptyState
                text={
                  list.error instanceof Unreachable
                    ? 'The server can’t be reached. Start it on the bench computer, then try again.'
                    : (list.error?.message ??
                      'No deleted repairs. A deleted repair stays here, with everything in it, until you bring it back.')
                }
                action={
                  list.error
                    ? { label: 'Try again', onPress: () => void list.refetch() }
                    : { label: 'Back to the list', onPress: () => router.navigate('/') }
                }
              />
            )
          }
          ListFooterComponent={
            list.hasNextPage ? (
              <Button
                label="Show more"
                busy={list.isFetchingNextPage}
                onPress={() => void list.fetchNextPage()}
              />
            ) : null
          }
        />
      </View>
    </View>
  );
}
