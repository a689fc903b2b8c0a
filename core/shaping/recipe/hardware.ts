import { numberValue } from '@core/record/model';
import type { HardwareHole } from '@core/foundations/standards';

/** How a drilled step becomes the hole for a standard thing, by the path of each thing it sets. */
export function patchForHardware({ diameterMm, depthMm, head }: HardwareHole): Record<string, unknown> {
  const diameter = numberValue(diameterMm);
  switch (head.kind) {
    case 'none':
      return {
        diameter,
        head: undefined,
        ...(depthMm === undefined ? {} : { depth: numberValue(depthMm), point: undefined }),
      };
    case 'seat':
      return {
        diameter,
        head: { kind: 'seat', diameter: numberValue(head.diameterMm), depth: numberValue(head.depthMm) },
      };
    case 'sink':
      return { diameter, head: { kind: 'sink', diameter: numberValue(head.diameterMm), angle: head.angle } };
    case 'nut':
      return {
        diameter,
        head: {
          kind: 'nut',
          sides: head.sides,
          across: numberValue(head.acrossMm),
          depth: numberValue(head.depthMm),
          at: 'far',
          turn: 0,
        },
      };
  }
}
