import { useLayoutEffect, useRef } from 'react';

export type KeyActions = Readonly<Record<string, () => void>>;

/** True while the keyboard writes into something. */
export function isTyping(target: EventTarget | null): boolean {
  const element = target as HTMLElement | null;
  return element !== null && (/^(INPUT|TEXTAREA|SELECT)$/.test(element.tagName) || element.isContentEditable);
}

/** Single keys of the page; none fires while typing. Undo is left to the field while one is being typed in. They change hands with the picture, so that no key meets the page before. */
export function useKeys(actions: KeyActions): void {
  const held = useRef(actions);
  useLayoutEffect(() => {
    held.current = actions;
  });
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event.target)) return;
      const control = event.ctrlKey || event.metaKey;
      if (control && event.key.toLowerCase() === 'z') {
        event.preventDefault();
        held.current[event.shiftKey ? 'redo' : 'undo']?.();
        return;
      }
      if (control || event.altKey) return;
      const action = held.current[event.key];
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
