import type { ComponentType } from 'react';

import { useBenchLight } from './benchLight';

/** Makes a view anew when the light on the bench changes: what the graphics card draws has its colours from when it was made. */
export function litAnew<P extends object>(View: ComponentType<P>): ComponentType<P> {
  return function Lit(props: P) {
    return <View key={useBenchLight()} {...props} />;
  };
}
