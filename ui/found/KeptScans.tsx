import { Text, View } from 'react-native';

import type { Body, Scan } from '@core/record/model';

import { useChangeRepair } from '../api/useRepair';
import { useRepairContext } from '../inRepair/useRepairContext';
import { Button } from '../shared/Button';

/** The scans of a spare that are kept with the repair. */
export function KeptScans({ body, onOpen }: { body: Body; onOpen(scan: Scan): void }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const scans = repair.scans.filter(({ bodyId, removed }) => bodyId === body.id && !removed);
  if (scans.length === 0) return null;
  return (
    <View role="list" aria-label={`Kept scans of ${body.name}`} className="gap-1">
      {scans.map((scan) => (
        <View key={scan.id} role="listitem" className="flex-row flex-wrap items-center gap-2">
          <Text className="min-w-[120px] flex-1 font-sans text-[16px] text-ink">
            {scan.name}
            <Text className="font-label text-[14px] text-muted">{`  ${scan.triangles} triangles`}</Text>
          </Text>
          <Button label="Compare" name={`Compare the scan ${scan.name}`} onPress={() => onOpen(scan)} />
          <Button
            tone="quiet"
            label="Delete"
            name={`Delete the scan ${scan.name}`}
            onPress={() => put('scan', { ...scan, removed: true }, `Deleted the scan ${scan.name}.`)}
          />
        </View>
      ))}
    </View>
  );
}
