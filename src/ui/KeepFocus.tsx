'use client';

import { useEffect } from 'react';

/** What takes the focus without opening a keyboard under a thumb. */
const PRESSED =
  'a[href], button:not(:disabled), select:not(:disabled), input[type="checkbox"]:not(:disabled), input[type="radio"]:not(:disabled), [tabindex="0"]:not(input):not(textarea)';
/** A tab is chosen by its focus alone. */
const CHOSEN_BY_FOCUS = '[role="tab"][aria-selected="false"], input[type="radio"]:not(:checked)';
/** Beyond what it lay in, nothing is next to it. */
const REGION = 'main, header, nav, [role="dialog"]';

const AFTER_MS = 60;

/** One step up from what had the focus: which child of whom it lay in, and at which place in that child. */
interface Step {
  parent: Element;
  child: number;
  place: number;
}

const pressedIn = (element: Element): HTMLElement[] =>
  [...element.querySelectorAll<HTMLElement>(PRESSED)].filter(
    (one) => one.getClientRects().length > 0 && !one.matches(CHOSEN_BY_FOCUS),
  );

function trailOf(element: Element): Step[] {
  const steps: Step[] = [];
  const region = element.closest(REGION);
  for (let child = element; region && child !== region && child.parentElement;) {
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

/** The same place in what came after, else in what stands before it, as near as something is left to press; else the page itself. */
function nextTo(trail: readonly Step[]): HTMLElement | undefined {
  for (const { parent, child, place } of trail) {
    if (!parent.isConnected) continue;
    const siblings = [...parent.children];
    const near = [...siblings.slice(child), ...siblings.slice(0, child).reverse()];
    for (const one of near) {
      const itself = one.matches(PRESSED) && !one.matches(CHOSEN_BY_FOCUS) ? [one as HTMLElement] : [];
      const found = [...itself, ...pressedIn(one)];
      if (found.length > 0) return found[Math.min(place, found.length - 1)];
    }
  }
  const main = document.querySelector('main') ?? undefined;
  if (main) main.tabIndex = -1;
  return main;
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
