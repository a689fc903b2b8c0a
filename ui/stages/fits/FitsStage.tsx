import { useState } from 'react';
import { ScrollView, View } from 'react-native';

import { DeletedRows } from '../../inRepair/DeletedRows';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { Button } from '../../shared/Button';
import { Columns, useTwoColumns } from '../../shared/Columns';
import { EmptyState } from '../../shared/EmptyState';
import { FirstHint } from '../../shared/FirstHint';
import { AddFitSheet } from './AddFitSheet';
import { Chains } from './Chains';
import { FitCard } from './FitCard';

/** Each place where spare meets counterpart: how freely should it go? */
export function FitsStage() {
  const { numbers } = useRepairContext();
  const [adding, setAdding] = useState(false);
  const fits = [...numbers.fits.values()];
  const counterparts = [...numbers.sizes.values()].filter(({ size }) => size.of === 'counterpart');
  const hasTwo = useTwoColumns();
  const cards = fits.map((entry) => <FitCard key={entry.fit.id} {...entry} />);
  return (
    <View className="flex-1">
      <ScrollView contentContainerClassName="gap-4 p-4">
        {fits.length === 0 ? (
          <EmptyState
            text={
              counterparts.length === 0
                ? 'A fit says how freely the spare goes with its mating part. Measure that first, such as the axle, and mark it “the mating part”.'
                : 'How freely should the spare go on? Add a fit for each place where it meets the mating part.'
            }
            {...(counterparts.length > 0
              ? { action: { label: 'Add a fit', onPress: () => setAdding(true) } }
              : {})}
          />
        ) : (
          <>
            <FirstHint of="fits" />
            {hasTwo ? (
              <Columns
                first={cards.filter((_, at) => at % 2 === 0)}
                second={cards.filter((_, at) => at % 2 === 1)}
              />
            ) : (
              cards
            )}
            <Button tone="primary" label="Add a fit" onPress={() => setAdding(true)} />
          </>
        )}
        <Chains />
        <DeletedRows kinds={['fit', 'chain']} />
      </ScrollView>
      {adding ? <AddFitSheet onClose={() => setAdding(false)} /> : null}
    </View>
  );
}
