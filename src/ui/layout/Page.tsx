'use client';

import clsx from 'clsx';
import type { ReactNode } from 'react';
import frameCss from './frame.module.css';

/** A side of a build: the bench on the left, the readings on the right; on a narrow screen the readings come first. */
export const Page = ({ children }: { children: ReactNode }) => (
  <main className={clsx(frameCss.page, frameCss.readfirst)}>{children}</main>
);
