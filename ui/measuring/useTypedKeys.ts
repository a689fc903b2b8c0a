import { useEffect, useRef } from 'react';

/** What calipers and keyboards type into a reading. */
const READING_KEY = /^[0-9.,\-+*/ ()"a-z]$/i;

/** Enter so soon after a digit comes from calipers, or from someone who has just typed; not from a focused button. */
const ENTER_AFTER_MS = 600;

/**
 * Takes what is typed anywhere on the page while the pad is open, so that calipers which type like a keyboard
 * reach it wherever the focus is. Fields other than the pad's own keep what is typed into them.
 *
 * @param own the pad's own field; what a person types there goes its usual way.
 */
export function useTypedKeys(
  own: () => unknown,
  { onText, onEnter }: { onText(text: string): void; onEnter(): void },
): void {
  const handlers = useRef({ own, onText, onEnter });
  handlers.current = { own, onText, onEnter };
  useEffect(() => {
    let lastText = 0;
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.isComposing) return;
      const target = event.target as HTMLElement | null;
      const isField = target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
      if (isField && (event.isTrusted || target !== handlers.current.own())) {
        if (target === handlers.current.own()) lastText = event.timeStamp;
        return;
      }
      if (target instanceof HTMLSelectElement && event.isTrusted) return;
      if (event.key === 'Enter') {
        if (event.timeStamp - lastText > ENTER_AFTER_MS) return;
        event.preventDefault();
        event.stopPropagation();
        handlers.current.onEnter();
      } else if (READING_KEY.test(event.key)) {
        event.preventDefault();
        lastText = event.timeStamp;
        handlers.current.onText(event.key);
      }
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, []);
}
