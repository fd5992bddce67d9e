import { usePathname, useSearchParams } from 'next/navigation';
import { useEffect } from 'react';
import { type Segment, SIDES } from '@/core/verdict/engine/segments';

const [EVERY_MS, TRIES] = [60, 12];

/** Looks through the sides of a segment for the field that the address asks for, opens what it is folded in, and gives it the focus. */
export function useFoundField(): void {
  const wanted = useSearchParams().get('field');
  const segment = usePathname().split('/').at(-1) as Segment;
  useEffect(() => {
    if (!wanted) return undefined;
    let left = true;
    const wait = () => new Promise((resume) => setTimeout(resume, EVERY_MS));
    const look = async () => {
      const shown = new URLSearchParams(window.location.search).get('view');
      const sides = [shown ?? SIDES[segment][0], ...SIDES[segment].filter((side) => side !== shown)];
      for (const side of new Set(sides)) {
        if (side !== sides[0]) window.history.replaceState(null, '', `?view=${side}`);
        for (let tries = 0; tries < TRIES && left; tries++) {
          const box = document.querySelector(`[data-path="${CSS.escape(wanted)}"]`);
          // the mark of a term stands before what is typed into
          const control =
            box?.querySelector<HTMLElement>('input, select') ?? box?.querySelector<HTMLElement>('button');
          if (control) {
            const fold = box!.closest('.MuiAccordion-root:not(.Mui-expanded)');
            fold?.querySelector<HTMLElement>('.MuiAccordionSummary-root')?.click();
            await wait();
            control.scrollIntoView({ block: 'center' });
            control.focus();
            return;
          }
          await wait();
        }
        if (!left) return;
      }
    };
    void look();
    return () => {
      left = false;
    };
  }, [wanted, segment]);
}
