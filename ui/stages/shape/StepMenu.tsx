import { View } from 'react-native';

import { numberValue, type Body, type Step } from '@core/model';
import { withField, withoutStep, withStepMoved } from '@core/recipe';

import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../frame/useRepairContext';
import { Button } from '../../shared/Button';
import { Sheet } from '../../shared/Sheet';
import { Switch } from '../../shared/Switch';

/** What can be done with a step: its order, what it works on, and taking it out. */
export function StepMenu({
  body,
  step,
  index,
  onClose,
}: {
  body: Body;
  step: Step;
  index: number;
  onClose(): void;
}) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const set = (steps: Step[], said: string) => {
    put('body', { ...body, steps }, said);
    onClose();
  };
  const replaced = (next: Step) => body.steps.map((other) => (other.id === step.id ? next : other));
  return (
    <Sheet title={`Step ${index + 1}`} onClose={onClose}>
      {step.kind === 'drill' ? (
        <>
          <Switch
            label="How deep"
            options={[
              { id: 'through', word: 'Right through' },
              { id: 'blind', word: 'Part of the way' },
            ]}
            value={step.depth === 'through' ? 'through' : 'blind'}
            onChange={(deep) =>
              set(
                withField(body.steps, step.id, 'depth', deep === 'through' ? 'through' : numberValue(5)),
                'The depth is changed.',
              )
            }
          />
          {isCentred(step) ? (
            <Button
              label="Move it off the axle line"
              onPress={() => set(withField(body.steps, step.id, 'x', numberValue(5)), 'The hole is moved.')}
            />
          ) : null}
        </>
      ) : null}
      {step.kind === 'ease' || step.kind === 'round' ? (
        <Switch
          label="Which edges"
          options={edgeChoices(body, index)}
          value={`${step.where.edges}:${step.where.of}`}
          onChange={(choice) => {
            const [edges, ...of] = choice.split(':');
            const where = { edges: edges as 'mouths' | 'rims', of: of.join(':') };
            set(replaced({ ...step, where }), 'Other edges are chosen.');
          }}
        />
      ) : null}
      <View className="flex-row gap-3">
        <Button
          className="flex-1"
          label="Earlier"
          disabled={index === 0}
          onPress={() => set(withStepMoved(body.steps, step.id, -1), 'The step comes earlier.')}
        />
        <Button
          className="flex-1"
          label="Later"
          disabled={index === body.steps.length - 1}
          onPress={() => set(withStepMoved(body.steps, step.id, 1), 'The step comes later.')}
        />
      </View>
      <Button
        tone="danger"
        label={`Take out step ${index + 1}`}
        onPress={() => set(withoutStep(body.steps, step.id), `Step ${index + 1} is taken out.`)}
      />
    </Sheet>
  );
}

const isCentred = (step: Extract<Step, { kind: 'drill' }>) =>
  [step.x, step.y].every((value) => value.from === 'number' && value.mm === 0);

/** Edges of the steps before this one that a rule can catch. */
function edgeChoices(body: Body, index: number): { id: string; word: string }[] {
  return body.steps.slice(0, index).flatMap((step, place) => {
    if (step.kind === 'drill')
      return [{ id: `mouths:${step.id}`, word: `Mouths of hole, step ${place + 1}` }];
    if (step.kind === 'turn' || step.kind === 'plate' || step.kind === 'peg') {
      return [{ id: `rims:${step.id}`, word: `Outer edges, step ${place + 1}` }];
    }
    return [];
  });
}
