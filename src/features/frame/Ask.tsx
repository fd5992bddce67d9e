'use client';

import frameCss from '@/ui/layout/frame.module.css';
import { type ReactNode, useEffect, useRef } from 'react';

/**
 * The answer at the top, with its surface switch. It keeps the height that it once took, so that a figure
 * with a digit more moves nothing under it.
 */
export function Ask({ children }: { children: ReactNode }) {
  'use memo';
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = box.current!;
    const { style } = element;
    let width = 0;
    const watch = new ResizeObserver(([entry]) => {
      const { inlineSize, blockSize } = entry!.borderBoxSize[0]!;
      // at another width the text wraps anew
      if (inlineSize !== width) style.minHeight = '';
      else style.minHeight = `${Math.max(Number.parseFloat(style.minHeight) || 0, blockSize)}px`;
      width = inlineSize;
    });
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return (
    <div className={frameCss.ask} ref={box}>
      {children}
    </div>
  );
}
