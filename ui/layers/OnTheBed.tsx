import { Text, View } from 'react-native';

import type { Body } from '@core/record/model';
import { type PartPlacement, MOST_PIECES, type RequestedSpare } from '@core/making/printing';
import { ownValue } from '@core/foundations/own';

import { Button } from '../shared/Button';
import { CountSteps } from '../shared/CountSteps';
import { GroupHeading } from '../shared/Heading';
import { BedPlan } from './BedPlan';
import type { BedChoice } from './bedChoice';

/** What is made in one job: how many pieces of each spare, and where they stand. */
export function OnTheBed({
  spares,
  leading,
  choice,
  bedMm,
  onBed,
  placements,
  refused,
  onChange,
  onLead,
}: {
  spares: readonly Body[];
  /** Whose layers' heights hold for all. */
  leading: Body;
  choice: BedChoice;
  bedMm: readonly [number, number, ...unknown[]] | null;
  onBed: readonly RequestedSpare[];
  /** Of each of them, as it was last laid or put since; none while nothing is printed. */
  placements: readonly PartPlacement[];
  /** Why they are not laid as they stand. */
  refused: string | null;
  onChange(choice: BedChoice): void;
  /** How another one is printed is asked for: its page leads from then on. */
  onLead(body: Body): void;
}) {
  const several = spares.length > 1;
  const count = (body: Body) => ownValue(choice.pieces, body.id) ?? (body.id === leading.id ? 1 : 0);
  return (
    <View className="gap-3">
      <GroupHeading>On the bed</GroupHeading>
      {spares.map((body) => (
        <View key={body.id} className={several ? 'gap-1' : ''}>
          {several ? <Text className="font-medium text-[15px] text-ink">{body.name}</Text> : null}
          <CountSteps
            what="piece"
            {...(several ? { of: body.name } : {})}
            least={body.id === leading.id ? 1 : 0}
            most={MOST_PIECES}
            value={count(body)}
            onChange={(pieces) => onChange({ pieces: { ...choice.pieces, [body.id]: pieces }, at: null })}
          />
          {body.id !== leading.id && count(body) > 0 ? (
            <Button label={`Print settings of ${body.name}`} onPress={() => onLead(body)} />
          ) : null}
        </View>
      ))}
      {bedMm && placements.length > 0 ? (
        <>
          <Text className="font-label text-[14px] leading-5 text-muted">
            {choice.at
              ? 'The pieces are where you put them.'
              : 'Drag a piece to move it. Dashes show what reaches beyond its first layer.'}
          </Text>
          <View className="pb-6">
            <BedPlan
              bedMm={bedMm}
              placements={placements}
              onMove={(part, piece, to) =>
                onChange({
                  ...choice,
                  at: Object.fromEntries(
                    placements.map(({ at }, index) => [
                      onBed[index]!.body.id,
                      at.map((place, order) => (index === part && order === piece ? to : place)),
                    ]),
                  ),
                })
              }
            />
          </View>
          {refused ? (
            <Text role="alert" className="font-medium text-[15px] leading-6 text-rust">
              {refused}
            </Text>
          ) : null}
          {choice.at ? (
            <Button label="Pack them again" onPress={() => onChange({ ...choice, at: null })} />
          ) : null}
        </>
      ) : null}
      {placements.length > 1 ? (
        <Text className="font-label text-[14px] leading-5 text-muted">{`All parts use the layer height of ${leading.name}; walls, infill and supports are set for each part.`}</Text>
      ) : null}
    </View>
  );
}
