import type { StepKind } from '@core/record/model';
import { menuOf } from '@core/shaping/steps';
import { STEP_FIGURES } from '@core/shaping/steps/figures';

import { DrawnTile } from '../../shared/DrawnTile';

/** A kind of step to choose: what it does, drawn on a small part. */
export function StepTile({
  kind,
  onPress,
  onLook,
}: {
  kind: StepKind;
  onPress(): void;
  onLook?(isOn: boolean): void;
}) {
  const { verb, what } = menuOf(kind);
  return (
    <DrawnTile
      figure={STEP_FIGURES[kind]}
      title={verb}
      note={what}
      label={`${verb} ${what}`}
      onPress={onPress}
      {...(onLook ? { onLook } : {})}
    />
  );
}
