import type { Brief } from '@core/foundations/fields';
import type { Jaw } from '@core/record/model';

/** A size that is worth taking first, and why. */
export interface SizeToTake {
  name: string;
  of: 'piece' | 'counterpart';
  jaw: Jaw;
  why: 'mate' | 'outside' | 'broke' | 'springs' | 'worn';
}

const take = (name: string, of: SizeToTake['of'], jaw: Jaw, why: SizeToTake['why']): SizeToTake => ({
  name,
  of,
  jaw,
  why,
});

/** What is worth measuring first of a part that nothing is known of but its brief: what it must fit before the piece itself. */
export function sizesToTake({ breaks, movement }: Brief): SizeToTake[] {
  return [
    take('What it goes over', 'counterpart', 'outside', 'mate'),
    take('What it goes into', 'counterpart', 'inside', 'mate'),
    ...(breaks.includes('worn') ? [take('Where it is unworn', 'piece', 'outside', 'worn')] : []),
    ...(breaks.includes('tooThin') || breaks.includes('brittle')
      ? [take('Thickness where it broke', 'piece', 'outside', 'broke')]
      : []),
    ...(movement === 'springs' ? [take('How far it springs', 'counterpart', 'step', 'springs')] : []),
    // What was lost can be measured no more.
    ...(breaks.includes('lost')
      ? [take('Space for it', 'counterpart', 'inside', 'mate')]
      : [
          take('Outside, largest', 'piece', 'outside', 'outside'),
          take('Height or thickness', 'piece', 'outside', 'outside'),
        ]),
  ];
}
