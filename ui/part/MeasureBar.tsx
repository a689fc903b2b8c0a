import { useEffect, useState } from 'react';
import { Text, View } from 'react-native';

import { newSize, nextLetter, type Repair } from '@core/model';
import type { Measured, Thing } from '@core/solid';
import { degrees } from '@core/wording';

import { newId } from '../api/newId';
import { useChangeRepair } from '../api/useRepair';
import { useShow, type Show } from '../preferences/useShow';
import { Button } from '../shared/Button';
import { workbench } from '../solid/useSolid';
import { usePartTool } from './partTool';

/** What was measured on the part, and a way to keep it as a size. */
export function MeasureBar({ repair }: { repair: Repair }) {
  const { picked, setMeasuring } = usePartTool();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  const [measured, setMeasured] = useState<Measured | null>(null);
  useEffect(() => {
    setMeasured(null);
    const [first, second] = picked;
    if (!first) return;
    let current = true;
    void workbench
      .measure(first, second ?? null)
      .then((result) => {
        if (current) setMeasured(result);
      })
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [picked]);
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
          ? 'Tap a face or an edge; tap a second one for what is between them.'
          : measured
            ? measuredWords(measured, show)
            : 'Measuring…'}
      </Text>
      <View className="flex-row justify-end gap-2">
        {main ? <Button label="Keep as a size" onPress={keep} /> : null}
        <Button label="Done measuring" onPress={() => setMeasuring(false)} />
      </View>
    </View>
  );
}

/** What one would write down of it. */
function mainLength({ things, distance, wallMm }: Measured): { name: string; mm: number } | null {
  if (distance) return { name: 'Distance', mm: distance.mm };
  const [thing] = things;
  if (!thing) return null;
  if (thing.kind === 'circle' || thing.kind === 'cylinder') return { name: 'Diameter', mm: thing.diameterMm };
  if ('lengthMm' in thing) return { name: 'Length', mm: thing.lengthMm };
  return wallMm === null ? null : { name: 'Wall', mm: wallMm };
}

function measuredWords({ things, distance, angle, wallMm }: Measured, show: Show): string {
  if (!distance) {
    const wall = wallMm === null ? '' : `; wall under it ${show.length(wallMm)}`;
    return `${capital(thingWords(things[0]!, show))}${wall}.`;
  }
  const between =
    distance.mm < 1e-6 ? 'They touch or cross' : `${show.length(distance.mm)} apart at the nearest`;
  return `${between}${angle === null ? '' : `, at ${degrees(angle)}`}. ${capital(things.map((thing) => thingWords(thing, show)).join('; '))}.`;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

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
  }
}
