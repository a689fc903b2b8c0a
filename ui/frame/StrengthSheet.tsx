import { useState } from 'react';
import { Text } from 'react-native';

import type { Joint } from '@core/checking/strength';
import { allowableSentence } from '@core/reporting/wording';

import { Sheet } from '../shared/Sheet';
import { Switch } from '../shared/Switch';
import { CutStrength } from './CutStrength';
import { JointStrength } from './JointStrength';
import { ServiceChoice } from './ServiceChoice';
import { useCutStrength } from './useCutStrength';

/** How strong a spare is where it is cut open: what the section bears when it is bent or pulled. */
export function StrengthSheet({
  bodies,
  onClose,
  ...cut
}: Parameters<typeof useCutStrength>[0] & { onClose(): void }) {
  const strength = useCutStrength({ bodies, ...cut });
  const { bodyId, setBodyId, service, setService, allowable, acrossMpa, isLaid, material } = strength;
  const [bearing, setBearing] = useState<'cut' | Joint['kind']>('cut');
  return (
    <Sheet title="How strong it is here" onClose={onClose}>
      {bodies.length > 1 ? (
        <Switch
          label="Which spare"
          options={bodies.map(({ id, name }) => ({ id, word: name }))}
          value={bodyId}
          onChange={setBodyId}
        />
      ) : null}
      <Switch<'cut' | Joint['kind']>
        label="What carries the load"
        options={[
          { id: 'cut', word: 'The cut' },
          { id: 'screw', word: 'A screw' },
          { id: 'pin', word: 'A pin' },
          { id: 'tooth', word: 'A tooth' },
        ]}
        value={bearing}
        onChange={setBearing}
      />
      {bearing === 'cut' ? null : (
        <JointStrength
          kind={bearing}
          borneMpa={acrossMpa}
          safety={service.safety}
          isLaid={isLaid}
          material={material.name}
        />
      )}
      {bearing === 'cut' ? <CutStrength {...strength} /> : null}
      <ServiceChoice service={service} onChange={setService} />
      <Text className="font-sans text-[15px] leading-6 text-muted">
        {allowableSentence(allowable, service)}
      </Text>
    </Sheet>
  );
}
