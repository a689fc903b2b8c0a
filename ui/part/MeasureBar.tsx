import ChevronRight from 'lucide-react-native/icons/chevron-right';
import Plus from 'lucide-react-native/icons/plus';
import { useEffect, useMemo, useState } from 'react';
import { Text, View } from 'react-native';

import { newSize, nextLetter, type Repair } from '@core/record/model';
import type { Measured, Thing } from '@core/shaping/part';
import { capital, degrees } from '@core/shaping/sentence';

import { newId } from '../api/newId';
import { useChangeRepair } from '../api/useRepair';
import { useShow, type Show } from '../preferences/useShow';
import { Button, IconButton } from '../shared/Button';
import type { Clearance } from '../solid/protocol';
import { workbench, type ShownBody } from '../solid/useSolid';
import { colours } from '../theme/colours';
import { usePartTool } from './partTool';
import { pickables } from './pickOnMesh';
import { useStepThrough } from './useStepThrough';

type BuiltOne = Pick<ShownBody, 'bodyId' | 'build' | 'mesh'>;

/** What was measured on the part, and a way to keep it as a size. */
export function MeasureBar({ repair, bodies }: { repair: Repair; bodies: readonly BuiltOne[] }) {
  const { picked, setMeasuring, show: showOnPart } = usePartTool();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  const [measured, setMeasured] = useState<Measured | null>(null);
  useEffect(() => {
    setMeasured(null);
    const [first, second] = picked;
    if (!first) return;
    let current = true;
    void workbench.ask
      .measure(first, second ?? null)
      .then((result) => {
        if (current) setMeasured(result);
      })
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [picked]);
  const rooms = useRooms(repair, bodies);
  const [at, setAt] = useState(-1);
  const room = picked.length === 0 && at >= 0 ? rooms?.[at % rooms.length] : undefined;
  // Of two round things the way between their centres is what one would write down.
  const centres = measured?.centres && measured.centres.mm > 1e-6 ? measured.centres : null;
  const distance = picked.length === 0 ? room : (centres ?? measured?.distance);
  useEffect(() => {
    const ends = distance ? ([distance.from, distance.to] as const) : null;
    showOnPart(ends && new Float32Array(ends.flat()), ends ?? []);
    return () => showOnPart(null);
  }, [distance, showOnPart]);
  const all = useMemo(
    () =>
      bodies.flatMap(({ bodyId, mesh }) =>
        mesh ? STEPPED.flatMap((kind) => pickables(mesh, kind)).map((one) => ({ bodyId, picked: one })) : [],
      ),
    [bodies],
  );
  const { next, hold, isStepping } = useStepThrough(all, 2);
  const main = measured && mainLength(measured);
  const keep = () => {
    if (!main) return;
    const tag = nextLetter(repair.sizes.map((size) => size.tag));
    const name = `${main.name}, measured on the part ${tag}`;
    put(
      'size',
      newSize({
        id: newId(),
        tag,
        name,
        kind: 'chosen',
        given: Math.round(main.mm * 1000) / 1000,
        source: 'Measured on the part as it is built',
      }),
      `Kept as size ${tag}.`,
    );
  };
  return (
    <View
      role="group"
      aria-label="Measuring"
      className="absolute inset-x-2 top-2 gap-1 rounded border border-green bg-card px-3 py-2"
    >
      <Text role="status" className="font-medium text-[14.5px] leading-5 text-ink">
        {picked.length === 0
          ? room
            ? roomWords(room, repair, show)
            : 'Tap a face, an edge or a corner; tap a second one for what is between them.'
          : measured
            ? measuredWords(measured, show)
            : 'Measuring…'}
      </Text>
      <View className="flex-row flex-wrap items-center gap-2">
        {all.length > 0 ? (
          <IconButton label="Next thing" onPress={next}>
            <ChevronRight size={22} color={colours.ink} />
          </IconButton>
        ) : null}
        {isStepping && picked.length === 1 ? (
          <IconButton label="And a second" onPress={hold}>
            <Plus size={20} color={colours.ink} />
          </IconButton>
        ) : null}
        <View className="flex-1" />
        {main ? <Button label="Keep as a size" onPress={keep} /> : null}
        {picked.length === 0 && rooms && rooms.length > 0 ? (
          <Button label={at < 0 ? 'Room between bodies' : 'Next body'} onPress={() => setAt(at + 1)} />
        ) : null}
        <Button label="Done" name="Done measuring" onPress={() => setMeasuring(false)} />
      </View>
    </View>
  );
}

/** In which order all that can be measured is stepped through. */
const STEPPED = ['face', 'edge', 'corner'] as const;

/** The room from the first spare to each other body; null until it is worked out. */
function useRooms(repair: Repair, bodies: readonly BuiltOne[]): Clearance[] | null {
  const [rooms, setRooms] = useState<Clearance[] | null>(null);
  const spare = repair.bodies.find(({ role, removed }) => role === 'spare' && !removed)?.id;
  const key = bodies.map(({ bodyId, build }) => `${bodyId}${build}`).join();
  useEffect(() => {
    setRooms(null);
    if (spare === undefined || bodies.length < 2) return;
    let current = true;
    workbench.ask
      .clearances(spare)
      .then((found) => {
        if (current) setRooms(found);
      })
      .catch(() => undefined);
    return () => {
      current = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [spare, key]);
  return rooms;
}

function roomWords({ one, other, mm, overlapMm3 }: Clearance, { bodies }: Repair, show: Show): string {
  const name = (id: string) => bodies.find((body) => body.id === id)?.name ?? 'a body';
  if (overlapMm3 > 1e-3) return `${name(one)} and ${name(other)} share ${overlapMm3.toFixed(1)} mm³.`;
  return mm < 1e-6
    ? `${name(one)} and ${name(other)} touch.`
    : `From ${name(one)} to ${name(other)} there are ${show.length(mm)} at the nearest.`;
}

/** What one would write down of it. */
function mainLength({ things, distance, centres, wallMm }: Measured): { name: string; mm: number } | null {
  if (centres && centres.mm > 1e-6) return { name: 'Distance of centres', mm: centres.mm };
  if (distance) return { name: 'Distance', mm: distance.mm };
  const [thing] = things;
  if (!thing) return null;
  if (thing.kind === 'circle' || thing.kind === 'cylinder') return { name: 'Diameter', mm: thing.diameterMm };
  if ('lengthMm' in thing) return { name: 'Length', mm: thing.lengthMm };
  return wallMm === null ? null : { name: 'Wall', mm: wallMm };
}

function measuredWords({ things, distance, centres, angle, wallMm }: Measured, show: Show): string {
  if (!distance) {
    const wall = wallMm === null ? '' : `; wall under it ${show.length(wallMm)}`;
    return `${capital(thingWords(things[0]!, show))}${wall}.`;
  }
  const between =
    distance.mm < 1e-6 ? 'They touch or cross' : `${show.length(distance.mm)} apart at the nearest`;
  const middles = centres
    ? centres.mm < 1e-6
      ? ', their centres in line'
      : `, their centres ${show.length(centres.mm)}`
    : '';
  return `${between}${middles}${angle === null ? '' : `, at ${degrees(angle)}`}. ${capital(things.map((thing) => thingWords(thing, show)).join('; '))}.`;
}

function thingWords(thing: Thing, show: Show): string {
  const area = (mm2: number) => `${mm2.toFixed(1)} mm²`;
  switch (thing.kind) {
    case 'plane':
      return `flat face of ${area(thing.areaMm2)}`;
    case 'cylinder':
      return `round face ${show.length(thing.diameterMm)} across, ${area(thing.areaMm2)}`;
    case 'surface':
      return `curved face of ${area(thing.areaMm2)}`;
    case 'line':
      return `straight edge ${show.length(thing.lengthMm)} long`;
    case 'circle':
      return `round edge ${show.length(thing.diameterMm)} across`;
    case 'curve':
      return `curved edge ${show.length(thing.lengthMm)} long`;
    case 'corner': {
      const [x, y, z] = thing.at.map((mm) => show.length(mm));
      return `corner ${x} to the right, ${y} to the back and ${z} up`;
    }
  }
}
