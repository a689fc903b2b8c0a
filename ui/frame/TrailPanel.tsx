import { Text, View } from 'react-native';

import { usesOf, type Trail, type Worked } from '@core/fit';

import { Sheet } from '../shared/Sheet';
import { TrailTable } from '../shared/TrailTable';
import { useWide } from '../shared/useWide';
import { IconButton } from '../shared/Button';
import X from 'lucide-react-native/icons/x';
import { colours } from '../theme/colours';
import { useRepairContext } from './useRepairContext';

/** Where a number comes from and where it goes. Beside the part on a wide screen, a sheet on a phone. */
export function TrailPanel() {
  const { repair, numbers, openTrail, setOpenTrail } = useRepairContext();
  const wide = useWide();
  if (!openTrail) return null;
  const found = openTrail.from === 'size' ? numbers.sizes.get(openTrail.id) : numbers.fits.get(openTrail.id);
  if (!found) return null;
  const uses = usesOf(repair, openTrail.from, openTrail.id);
  const body = (
    <>
      <TrailOrWanted worked={found.worked} />
      <Text className="font-label text-[14px] text-muted">
        {uses.length === 0
          ? 'No step uses it yet.'
          : `Used in ${uses.map((use) => `${use.bodyName}, step ${use.stepIndex + 1}`).join('; ')}.`}
      </Text>
    </>
  );
  const title = found.worked.ok
    ? `Where ${found.worked.trail.tag} ${found.worked.trail.workingMm.toFixed(2)} comes from`
    : `Where ${found.worked.tag} comes from`;
  if (!wide) {
    return (
      <Sheet title={title} onClose={() => setOpenTrail(null)}>
        {body}
      </Sheet>
    );
  }
  return (
    <View role="region" aria-label={title} className="w-[290px] gap-2 border-l border-line bg-card p-4 pt-2">
      <View className="flex-row items-center justify-between">
        <Text className="font-number text-[13px] uppercase text-muted">{title}</Text>
        <IconButton label="Close" onPress={() => setOpenTrail(null)}>
          <X size={18} color={colours.muted} />
        </IconButton>
      </View>
      {body}
    </View>
  );
}

function TrailOrWanted({ worked }: { worked: Worked }) {
  if (worked.ok) return <TrailTable trail={worked.trail satisfies Trail} />;
  return (
    <Text className="font-sans text-[16px] text-ink">{`Size ${worked.tag} (${worked.name}) is not taken yet.`}</Text>
  );
}
