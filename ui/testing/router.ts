/** What tests of screens have in place of the router: nobody goes anywhere. */
export const router = {
  push: () => undefined,
  replace: () => undefined,
  back: () => undefined,
};
export const Link = (): null => null;
export const useLocalSearchParams = (): Record<string, string> => ({});
