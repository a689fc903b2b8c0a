import { create } from 'zustand';

/** A job's file of this device that is looked at; it is read here alone and kept nowhere. */
interface OpenedJob {
  file: { name: string; text: string } | null;
  open(file: { name: string; text: string }): void;
}

export const useOpenedJob = create<OpenedJob>((set) => ({ file: null, open: (file) => set({ file }) }));
