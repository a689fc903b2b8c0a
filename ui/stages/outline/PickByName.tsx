import { useState, type ReactNode } from 'react';
import { Pressable, Text, View } from 'react-native';

import type { SolvedDrawing } from '@core/shaping/drawn';

import { Button } from '../../shared/Button';
import type { Hit } from './boardView';
import type { PickedThings } from './PickedBar';

const WORDS = {
  line: 'Line',
  arc: 'Arc',
  circle: 'Circle',
  ellipse: 'Ellipse',
  spline: 'Smooth curve',
} as const;

const FOLLOWS = ', follows the part';

/** Everything that can be picked, by name: for a keyboard, and for what is too small to be tapped. */
export function PickByName({
  drawing,
  picked,
  following,
  onPick,
  said,
  beside,
}: {
  drawing: Pick<SolvedDrawing, 'points' | 'curves'>;
  picked: PickedThings;
  /** What follows the part. */
  following: PickedThings;
  onPick(hit: NonNullable<Hit>): void;
  /** Relations and sizes, which are small on the board. */
  said: readonly { id: string; label: string; open(): void }[];
  /** What else can be done with all of it. */
  beside?: ReactNode;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <View className="gap-1.5 px-3 pb-1.5">
      <View className="flex-row flex-wrap gap-1.5">
        <Button label={isOpen ? 'Hide the names' : 'Pick by name'} onPress={() => setOpen(!isOpen)} />
        {beside}
      </View>
      {isOpen ? (
        <View
          role="group"
          aria-label="Curves, points, relations and sizes"
          className="flex-row flex-wrap gap-1"
        >
          {drawing.curves.map(({ id, kind }, index) => (
            <Name
              key={`curve ${id}`}
              label={`${WORDS[kind]} ${index + 1}${following.curves.has(id) ? FOLLOWS : ''}`}
              isPicked={picked.curves.has(id)}
              onPress={() => onPick({ curve: id })}
            />
          ))}
          {[...drawing.points.keys()].map((id) => (
            <Name
              key={`point ${id}`}
              label={`Point ${id}${following.points.has(id) ? FOLLOWS : ''}`}
              isPicked={picked.points.has(id)}
              onPress={() => onPick({ point: id })}
            />
          ))}
          {said.map(({ id, label, open }) => (
            <Name key={`said ${id}`} label={label} isPicked={false} onPress={open} />
          ))}
        </View>
      ) : null}
    </View>
  );
}

function Name({ label, isPicked, onPress }: { label: string; isPicked: boolean; onPress(): void }) {
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={label}
      aria-pressed={isPicked}
      onPress={onPress}
      className={`min-h-[44px] justify-center rounded border px-2.5 ${isPicked ? 'border-green bg-green-soft' : 'border-rule bg-card'}`}
    >
      <Text className="font-label text-[14px] text-ink">{label}</Text>
    </Pressable>
  );
}
