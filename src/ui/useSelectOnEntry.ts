import { type FocusEvent, type MouseEvent, useCallback, useRef } from 'react';

/** The first click or focus selects what a field holds, so that typing replaces it; a second click sets the caret. */
export function useSelectOnEntry(): {
  onFocus(event: FocusEvent<HTMLInputElement>): void;
  onMouseUp(event: MouseEvent<HTMLInputElement>): void;
} {
  const entered = useRef(false);
  const onFocus = useCallback((event: FocusEvent<HTMLInputElement>) => {
    entered.current = true;
    event.currentTarget.select();
  }, []);
  const onMouseUp = useCallback((event: MouseEvent<HTMLInputElement>) => {
    const { selectionStart, selectionEnd } = event.currentTarget;
    if (entered.current && selectionStart === selectionEnd) event.currentTarget.select();
    entered.current = false;
  }, []);
  return { onFocus, onMouseUp };
}
