import { Text, View } from 'react-native';

import { LIST_OF, type ListedRow, type RowOf } from '@core/record/model';
import { capital } from '@core/shaping/sentence';
import { ROW_WORDS } from '@core/reporting/wording';

import { useChangeRepair } from '../api/useRepair';
import { Button } from '../shared/Button';
import { GroupHeading } from '../shared/Heading';
import { useRepairContext } from './useRepairContext';

/** Kinds of row that have a name by which they can be told, once they are deleted. */
type NamedRow = Exclude<ListedRow, 'reading' | 'revision'>;

/** What was deleted of some kinds, to be brought back as it was; nothing where nothing was. */
export function DeletedRows({ kinds }: { kinds: readonly NamedRow[] }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const deleted = kinds.flatMap((kind) =>
    (repair[LIST_OF[kind]] as RowOf<NamedRow>[])
      .filter(({ removed }) => removed)
      .map((row) => ({ kind, row, name: 'tag' in row ? `${row.tag}  ${row.name}` : row.name })),
  );
  if (deleted.length === 0) return null;
  return (
    <View className="gap-1 px-4 pt-5">
      <GroupHeading>Deleted</GroupHeading>
      {deleted.map(({ kind, row, name }) => (
        <View key={row.id} className="flex-row items-center justify-between gap-3">
          <Text className="flex-1 font-sans text-[16px] text-muted">
            {kinds.length > 1 ? `${capital(ROW_WORDS[kind].one)} ` : ''}
            <Text className="line-through">{name}</Text>
          </Text>
          <Button
            tone="quiet"
            label={`Bring back ${'tag' in row ? row.tag : 'it'}`}
            name={`Bring back ${'tag' in row ? row.tag : `it: ${row.name}`}`}
            onPress={() => put(kind, { ...row, removed: false })}
          />
        </View>
      ))}
    </View>
  );
}
