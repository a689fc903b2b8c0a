import { create } from 'zustand';

/** The step of the recipe that is worked on: its sizes alone stand on the picture. */
export const useAtHand = create<{ stepId: string | null }>(() => ({ stepId: null }));

export const takeInHand = (stepId: string | null): void => {
  if (useAtHand.getState().stepId !== stepId) useAtHand.setState({ stepId });
};
