import { useEffect, useState, type ComponentType } from 'react';
import { Text, View } from 'react-native';

import { Button } from '../shared/Button';
import { Loading } from '../shared/Loading';

/** Once the first screen stands, the others are fetched ahead, ms. */
const AHEAD_AFTER_MS = 1500;

/**
 * Screens that are fetched together when the first of them is opened, or once nothing else is to be done.
 *
 * @param fetchThem all of them, by name.
 */
export function laterScreens<Name extends string>(fetchThem: () => Promise<Record<Name, ComponentType>>) {
  let loaded: Record<Name, ComponentType> | null = null;
  let underWay: Promise<Record<Name, ComponentType>> | null = null;
  /** Asked again after a failure, it tries again. */
  const load = () => {
    underWay ??= fetchThem().then(
      (screens) => (loaded = screens),
      (error: unknown) => {
        underWay = null;
        throw error;
      },
    );
    return underWay;
  };

  /** A screen that is fetched when it is first opened. */
  const later = (name: Name): ComponentType =>
    function Later() {
      const [screens, setScreens] = useState(loaded);
      const [failed, setFailed] = useState(false);
      useEffect(() => {
        if (screens || failed) return;
        let here = true;
        load().then(
          (found) => here && setScreens(found),
          () => here && setFailed(true),
        );
        return () => {
          here = false;
        };
      }, [screens, failed]);
      if (failed) return <NotFetched onAgain={() => setFailed(false)} />;
      if (!screens) return <Loading what="Fetching this screen…" />;
      const Screen: ComponentType = screens[name];
      return <Screen />;
    };

  /** Fetches them ahead. If that fails, the screen that is opened tries again and says what is wrong. */
  const useAhead = () =>
    useEffect(() => {
      const timer = setTimeout(() => void load().catch(() => undefined), AHEAD_AFTER_MS);
      return () => clearTimeout(timer);
    }, []);
  return { later, useAhead };
}

export const { later, useAhead } = laterScreens(() => import('./screens'));

function NotFetched({ onAgain }: { onAgain(): void }) {
  return (
    <View role="alert" className="flex-1 gap-3 bg-paper p-4">
      <Text className="font-sans text-[17px] leading-7 text-ink">
        This screen could not be fetched: the server can’t be reached, or it has a newer version of the app.
        Nothing is lost. Try again, or reload the page.
      </Text>
      <Button tone="primary" label="Try again" onPress={onAgain} />
    </View>
  );
}
