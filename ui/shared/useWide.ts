import { useWindowDimensions } from 'react-native';

/** Width from which the part stands beside the stage instead of above it, px. */
export const WIDE_FROM = 1000;

export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE_FROM;
}
