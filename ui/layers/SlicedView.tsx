import { Text, View } from 'react-native';

import { useRepairContext } from '../inRepair/useRepairContext';
import { Broken } from '../report/ScreenBoundary';
import { Button } from '../shared/Button';
import { LayerView } from './LayerView';
import type { Watched } from './SliceReport';
import type { LayersState } from './useLayers';

/** The layers; or how far they are, and what is in their way. */
export function SlicedView({
  state,
  ready,
  name,
  shown,
  ringed,
  inResin,
  onLayer,
  onStop,
  onAgain,
}: {
  state: LayersState;
  /** The part is built. */
  ready: boolean;
  name: string;
  shown: number;
  ringed: Watched['at'] | null;
  inResin: boolean;
  onLayer(layer: number): void;
  onStop(): void;
  onAgain(): void;
}) {
  const { repair } = useRepairContext();
  if (state.kind === 'broken') return <Broken fault={state.fault} repair={repair} onAgain={onAgain} />;
  if (state.kind === 'laid') {
    const { drawing, happenings, overhangs } = state.reply;
    return (
      <LayerView
        drawing={drawing}
        happenings={happenings}
        layer={shown}
        onLayer={onLayer}
        hasWays={!inResin}
        overhangs={overhangs}
        ringed={ringed}
      />
    );
  }
  return (
    <View className="flex-1 items-center justify-center gap-3 bg-bench p-4">
      <Text role="status" className="text-center font-sans text-[16px] leading-6 text-ink">
        {state.kind === 'refused'
          ? state.sentence
          : state.kind === 'stopped'
            ? 'Stopped. Nothing is sliced.'
            : !ready
              ? 'The part is being built.'
              : `Slicing ${name}: ${(100 * state.share).toFixed(0)} %`}
      </Text>
      {state.kind === 'working' && ready ? <Button label="Stop" onPress={onStop} /> : null}
      {state.kind === 'stopped' ? <Button label="Slice again" onPress={onAgain} /> : null}
    </View>
  );
}
