import { View } from 'react-native';

import type { Lasting } from '@core/foundations/fields';
import type { Service } from '@core/checking/strength';
import { LASTING_CHOICES, SAFETY_CHOICES } from '@core/reporting/wording';

import { Switch } from '../shared/Switch';

/** How long a load acts, and with how much to spare. */
export function ServiceChoice({
  service,
  onChange,
}: {
  service: Pick<Service, 'lasts' | 'safety'>;
  onChange(service: Pick<Service, 'lasts' | 'safety'>): void;
}) {
  return (
    <View className="gap-3">
      <Switch<Lasting>
        label="How long the load acts"
        options={LASTING_CHOICES}
        value={service.lasts}
        onChange={(lasts) => onChange({ ...service, lasts })}
      />
      <Switch
        label="Safety factor"
        options={SAFETY_CHOICES}
        value={`${service.safety}` as '2' | '3' | '4'}
        onChange={(safety) => onChange({ ...service, safety: Number(safety) })}
      />
    </View>
  );
}
