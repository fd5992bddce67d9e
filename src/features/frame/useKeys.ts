import { useLayoutEffect, useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';

export type KeyActions = Readonly<Record<string, () => void>>;

const COMMANDS: ReadonlySet<string> = new Set(['undo', 'redo']);
const plain = ({ ctrlKey, metaKey, altKey }: KeyboardEvent) => !ctrlKey && !metaKey && !altKey;

/**
 * Single keys of the page; none fires while typing. Undo is left to the field while one is being typed in.
 * They change hands with the picture, so that no key meets the page before.
 */
export function useKeys(actions: KeyActions): void {
  const held = useRef(actions);
  useLayoutEffect(() => {
    held.current = actions;
  });
  useHotkeys(
    Object.keys(actions).filter((key) => !COMMANDS.has(key)),
    (event) => {
      if (plain(event)) held.current[event.key]?.();
    },
    // as the key reads, whatever the layout of the keyboard; the comma is one of them
    { useKey: true, delimiter: '|', preventDefault: plain },
    [],
  );
  useHotkeys('mod+z', () => held.current.undo?.(), { preventDefault: true }, []);
  useHotkeys('mod+shift+z', () => held.current.redo?.(), { preventDefault: true }, []);
}
