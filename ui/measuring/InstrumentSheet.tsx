import { Link } from 'expo-router';
import { Text, View } from 'react-native';

import type { Instrument, Jaw } from '@core/record/model';

import { useRepairContext } from '../inRepair/useRepairContext';
import { usePreferences } from '../preferences/usePreferences';
import { useShow } from '../preferences/useShow';
import { ChoiceRow } from '../shared/ChoiceRow';
import { Sheet } from '../shared/Sheet';
import { JAW_HINTS } from './jaws';
import { JawFigure } from './JawFigure';

/** Chooses the instrument in hand, and shows how it is held. */
export function InstrumentSheet({
  quantity,
  jaw,
  onClose,
}: {
  quantity: 'length' | 'angle';
  jaw: Jaw;
  onClose(): void;
}) {
  const { numbers } = useRepairContext();
  const show = useShow();
  const { instruments, setInstrument } = usePreferences();
  const known = numbers.workshop.instruments.filter(
    (instrument) => instrument.quantity === quantity && !instrument.removed,
  );
  return (
    <Sheet title="In your hand" onClose={onClose}>
      {quantity === 'length' ? (
        <View className="items-center gap-2 rounded bg-bench p-3">
          <JawFigure jaw={jaw} />
          <Text className="font-sans text-[15px] leading-6 text-ink">{JAW_HINTS[jaw]}</Text>
        </View>
      ) : null}
      <View className="gap-1.5">
        {known.map((instrument) => (
          <ChoiceRow
            key={instrument.id}
            title={instrument.name}
            note={promiseOf(instrument, show)}
            chosen={instruments[quantity] === instrument.id}
            onPress={() => {
              setInstrument(quantity, instrument.id);
              onClose();
            }}
          />
        ))}
      </View>
      <Link href="/workshop" className="font-medium text-[15px] text-green underline">
        Instruments are kept in the Workshop
      </Link>
    </Sheet>
  );
}

/** What an instrument promises, in a line. */
export function promiseOf(instrument: Instrument, show: ReturnType<typeof useShow>): string {
  const { quantity, resolution, reach, permissibleErrors } = instrument;
  const steps =
    quantity === 'angle' ? show.full(resolution, quantity) : `${Number(resolution.toFixed(4))} mm`;
  const error =
    quantity === 'angle'
      ? show.full(permissibleErrors[0]!.plusMinus, quantity)
      : `${permissibleErrors[0]!.plusMinus} mm`;
  return `steps of ${steps}, ± ${error}, up to ${quantity === 'angle' ? show.full(reach, quantity) : `${reach} mm`}`;
}
