import { type RefObject, useEffect, useRef } from 'react';
import type { Box } from './placeLabels';

/** A drag over less than this is a click, px. */
const LEAST_PX = 8;

/** Lets a stretch be dragged out over a chart once a mouse is over it; the brush is fetched then. */
export function useBrush(
  layer: RefObject<SVGGElement | null>,
  wanted: boolean,
  { left, right, top, bottom }: Box,
  onStretch: (fromPx: number, toPx: number) => void,
): void {
  const take = useRef(onStretch);
  useEffect(() => {
    take.current = onStretch;
  });
  useEffect(() => {
    const group = layer.current;
    if (!wanted || !group) return undefined;
    let gone = false;
    void Promise.all([import('d3-brush'), import('d3-selection')]).then(([{ brushX }, { select }]) => {
      if (gone) return;
      const on = select<SVGGElement, unknown>(group);
      const brush = brushX<unknown>()
        .extent([
          [left, top],
          [right, bottom],
        ])
        .touchable(false)
        .keyModifiers(false)
        .on('end', ({ selection }: { selection: [number, number] | null }) => {
          if (!selection) return;
          on.call(brush.clear);
          if (selection[1] - selection[0] >= LEAST_PX) take.current(selection[0], selection[1]);
        });
      on.call(brush);
    });
    return () => {
      gone = true;
      group.replaceChildren();
    };
  }, [layer, wanted, left, right, top, bottom]);
}
