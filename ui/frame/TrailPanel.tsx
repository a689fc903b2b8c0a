import X from 'lucide-react-native/icons/x';
import { Text, View } from 'react-native';

import { usesOf, type Worked } from '@core/fitting/fit';
import { uncertaintyOf } from '@core/measuring/measure';
import { sentenceOf, usedWords } from '@core/reporting/wording';

import { useShow } from '../preferences/useShow';
import { IconButton } from '../shared/Button';
import { Wrong } from '../shared/Field';
import { Sheet } from '../shared/Sheet';
import { TrailTable } from '../shared/TrailTable';
import { useWide } from '../shared/useWide';
import { Doubt } from '../inRepair/Doubt';
import { colours } from '../theme/colours';
import { openTrail, useOpened } from '../inRepair/opened';
import { useRepairContext } from '../inRepair/useRepairContext';

/** Where a number comes from and where it goes. Beside the part on a wide screen, a sheet on a phone. */
export function TrailPanel() {
  const { repair } = useRepairContext();
  const openedTrail = useOpened(({ trail }) => trail);
  const wide = useWide();
  const found = useTrail();
  if (!openedTrail || !found) return null;
  const uses = usesOf(repair, openedTrail);
  const body = (
    <>
      {found.body}
      <Text className="font-label text-[14px] text-muted">
        {uses.length === 0 ? 'Nothing uses it yet.' : `Used in ${uses.map(usedWords).join('; ')}.`}
      </Text>
    </>
  );
  if (!wide) {
    return (
      <Sheet title={found.title} onClose={() => openTrail(null)}>
        {body}
      </Sheet>
    );
  }
  return (
    <View
      role="region"
      aria-label={found.title}
      className="w-[290px] gap-2 border-l border-line bg-card p-4 pt-2"
    >
      <View className="flex-row items-center justify-between">
        <Text className="font-number text-[13px] uppercase text-muted">{found.title}</Text>
        <IconButton label="Close" onPress={() => openTrail(null)}>
          <X size={18} color={colours.muted} />
        </IconButton>
      </View>
      {body}
    </View>
  );
}

/** The trail that is asked for, in words. */
function useTrail(): { title: string; body: React.ReactNode } | null {
  const { numbers } = useRepairContext();
  const openedTrail = useOpened(({ trail }) => trail);
  const show = useShow();
  if (!openedTrail) return null;
  if (openedTrail.from === 'layout') {
    const found = numbers.layouts.get(openedTrail.id);
    if (!found) return null;
    return {
      title: `Where the points of ${found.layout.name} come from`,
      body: (
        <Text className="font-sans text-[15.5px] leading-6 text-ink">
          {`${found.solved.distances.length} distances, adjusted together; ${found.solved.redundancy} more than needed. They are on the Sizes stage, under Layouts.`}
        </Text>
      ),
    };
  }
  const size = openedTrail.from === 'size' ? numbers.sizes.get(openedTrail.id) : undefined;
  const worked = openedTrail.from === 'size' ? size?.worked : numbers.fits.get(openedTrail.id)?.worked;
  if (!worked) return null;
  const title = worked.ok
    ? `Where ${worked.trail.tag} ${show.value(worked.trail.working, worked.trail.quantity)} comes from`
    : `Where ${worked.tag} comes from`;
  const doubt = size ? uncertaintyOf(size.result) : null;
  return {
    title,
    body: (
      <>
        <TrailOrWanted worked={worked} />
        {size && doubt ? <Doubt size={size.size} uncertainty={doubt} /> : null}
      </>
    ),
  };
}

function TrailOrWanted({ worked }: { worked: Worked }) {
  if (worked.ok) return <TrailTable trail={worked.trail} />;
  if (worked.fault) return <Wrong text={sentenceOf(worked.fault)} />;
  return (
    <Text className="font-sans text-[16px] text-ink">{`Size ${worked.tag} (${worked.name}) is not taken yet.`}</Text>
  );
}
