import { useLayoutEffect } from 'react';

import { usePreferences } from './usePreferences';

/** What has little room grows by so much at most: labels on the picture. */
const LABELS_MOST = 1.5;

/** Puts the size of type on the page. */
export function useTypedPage(): void {
  const type = usePreferences((preferences) => preferences.type);
  useLayoutEffect(() => {
    const { style, dataset } = document.documentElement;
    style.setProperty('--type', String(type));
    dataset.type = type > 1 ? 'large' : 'usual';
  }, [type]);
}

/** How much larger than usual labels on a picture are. */
export const useLabelScale = (): number =>
  Math.min(
    usePreferences(({ type }) => type),
    LABELS_MOST,
  );
