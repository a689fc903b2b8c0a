import { Text, View } from 'react-native';

import { bandsOf, FIT_CLASSES, type Worked } from '@core/fit';
import type { Fit } from '@core/model';
import { showSigned } from '@core/quantity';

import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../frame/useRepairContext';
import { Button } from '../../shared/Button';
import { GroupHeading, Heading } from '../../shared/Heading';
import { Switch } from '../../shared/Switch';
import { TrailTable } from '../../shared/TrailTable';
import { FitBandsFigure } from './FitBandsFigure';
import { OwnClearance } from './OwnClearance';

/** One fit: how freely, the two bands to scale, and the trail of the working size. */
export function FitCard({ fit, worked }: { fit: Fit; worked: Worked }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const bands = worked.ok ? bandsOf(worked.trail, fit.feature) : null;
  return (
    <View className="gap-3 rounded-lg border border-line bg-card p-4">
      <Heading>{fit.name}</Heading>
      {bands ? <FitBandsFigure bands={bands} inside={fit.feature === 'bore' ? 'hole' : 'peg'} /> : null}
      <View className="gap-1.5">
        <GroupHeading>
          {fit.feature === 'bore' ? 'How should it go on?' : 'How should it go in?'}
        </GroupHeading>
        <Switch
          label={`How freely: ${fit.name}`}
          options={FIT_CLASSES}
          value={fit.ownClearanceMm === null ? fit.fitClass : null}
          onChange={(fitClass) => put('fit', { ...fit, fitClass, ownClearanceMm: null })}
        />
      </View>
      {worked.ok ? (
        <>
          <TrailTable
            trail={worked.trail}
            resultName={fit.feature === 'bore' ? 'Bore, working size' : 'Peg, working size'}
          />
          <Text className="font-sans text-[15px] leading-6 text-ink">
            {clearanceWords(bands!.clearanceMm)}
          </Text>
        </>
      ) : (
        <Text className="font-medium text-[15px] leading-6 text-rust">
          {`Take size ${worked.tag} (${worked.name}) first; the working size follows from it.`}
        </Text>
      )}
      <OwnClearance fit={fit} onChange={(ownClearanceMm) => put('fit', { ...fit, ownClearanceMm })} />
      <View className="items-start">
        <Button
          tone="quiet"
          label="Delete this fit"
          onPress={() => put('fit', { ...fit, removed: true }, `Fit “${fit.name}” deleted.`)}
        />
      </View>
    </View>
  );
}

function clearanceWords({ smallest, largest }: { smallest: number; largest: number }): string {
  if (smallest >= 0)
    return `Clearance on the diameter: ${showSigned(smallest)} to ${showSigned(largest)} mm.`;
  if (largest <= 0)
    return `Always tight: ${showSigned(smallest)} to ${showSigned(largest)} mm on the diameter.`;
  return `From ${showSigned(smallest)} (tight) to ${showSigned(largest)} mm (clear) on the diameter.`;
}
