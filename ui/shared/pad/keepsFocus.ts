import { Platform, type View } from 'react-native';

/** A slider takes hold of the finger itself, and gives the focus back when it is let go of. */
export const isSlider = (element: unknown): boolean =>
  element instanceof HTMLInputElement && element.type === 'range';

const preventDefault = (event: Event) => {
  if (!isSlider(event.target)) event.preventDefault();
};

/** For the ref of a group of keys: a press on one leaves the caret in the field where it is. */
export function keepsFocus(view: View | null): void {
  if (Platform.OS !== 'web') return;
  (view as unknown as HTMLElement | null)?.addEventListener('mousedown', preventDefault);
}
