'use client';

import { useEffect } from 'react';

/** What takes the focus without opening a keyboard under a thumb. */
const PRESSED =
  'a[href], button:not(:disabled), select:not(:disabled), input[type="checkbox"]:not(:disabled), input[type="radio"]:not(:disabled), [role="tab"], [tabindex="0"]:not(input):not(textarea)';

const AFTER_MS = 60;

/** One step up from what had the focus: which child of whom it lay in, and at which place in that child. */
interface Step {
  parent: Element;
  child: number;
  place: number;
}

const pressedIn = (element: Element): HTMLElement[] =>
  [...element.querySelectorAll<HTMLElement>(PRESSED)].filter((one) => one.getClientRects().length > 0);

function trailOf(element: Element): Step[] {
  const steps: Step[] = [];
  for (let child = element; child.parentElement && child.parentElement !== document.body;) {
    const parent: Element = child.parentElement;
    steps.push({
      parent,
      child: [...parent.children].indexOf(child),
      place: Math.max(0, pressedIn(child).indexOf(element as HTMLElement)),
    });
    child = parent;
  }
  return steps;
}

/** The same place in what came after, else in what stands before it, as near as something is left to press. */
function nextTo(trail: readonly Step[]): HTMLElement | undefined {
  for (const { parent, child, place } of trail) {
    if (!parent.isConnected) continue;
    const siblings = [...parent.children];
    const near = [...siblings.slice(child), ...siblings.slice(0, child).reverse()];
    for (const one of near) {
      const found = [...(one.matches(PRESSED) ? [one as HTMLElement] : []), ...pressedIn(one)];
      if (found.length > 0) return found[Math.min(place, found.length - 1)];
    }
  }
  return undefined;
}

/** Where what has the focus goes away, by being deleted or put out of use, the focus goes to what stands next. */
export function KeepFocus() {
  useEffect(() => {
    let last: { element: Element; trail: Step[] } | undefined;
    const remember = ({ target }: FocusEvent) => {
      if (target instanceof Element && target !== document.body)
        last = { element: target, trail: trailOf(target) };
    };
    const isLost = () =>
      last !== undefined &&
      document.activeElement === document.body &&
      (!last.element.isConnected || last.element.matches(':disabled'));
    const look = () => {
      if (isLost())
        setTimeout(() => isLost() && nextTo(last!.trail)?.focus({ preventScroll: true }), AFTER_MS);
    };
    const watch = new MutationObserver(look);
    watch.observe(document.body, {
      childList: true,
      subtree: true,
      attributes: true,
      attributeFilter: ['disabled'],
    });
    document.addEventListener('focusin', remember);
    return () => {
      watch.disconnect();
      document.removeEventListener('focusin', remember);
    };
  }, []);
  return null;
}
