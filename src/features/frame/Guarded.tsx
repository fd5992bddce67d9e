'use client';

import Box from '@mui/material/Box';
import type { SxProps, Theme } from '@mui/material/styles';
import frameCss from '@/ui/layout/frame.module.css';
import { Note } from '@/ui/controls/Note';
import Button from '@mui/material/Button';
import { Children, Fragment, isValidElement, type ReactNode, Suspense } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { useBuild } from '../session/BuildContext';
import { problemOf } from '@/words/refusals/problemOf';
import { useReader } from '@/ui/reader';
import { CalcError } from '@/core/base/errors';

/** A part of a page that stands alone: what goes wrong in it is said in its place, and it is tried again when the build changes. */
export function Guarded({ children }: { children: ReactNode }) {
  const { document, surface, ghost } = useBuild();
  return (
    <ErrorBoundary FallbackComponent={NotWorkedOut} resetKeys={[document, surface, ghost]}>
      <>{children}</>
    </ErrorBoundary>
  );
}

function NotWorkedOut({ error, resetErrorBoundary }: FallbackProps) {
  const { reader } = useReader();
  return (
    <Note tone="bad" role="alert" data-testid="not-worked-out">
      This could not be worked out with the figures as they are
      {error instanceof CalcError ? ` (${problemOf(error.refused, reader).message})` : ''}. Your figures are
      safe: change one of those that changed last, and it is tried again.{' '}
      <Button variant="link" onClick={resetErrorBoundary}>
        Try again
      </Button>
    </Note>
  );
}

/** Children one by one, those of fragments too. */
function each(children: ReactNode): ReactNode[] {
  return Children.toArray(children).flatMap((child): ReactNode[] =>
    isValidElement<{ children?: ReactNode }>(child) && child.type === Fragment
      ? each(child.props.children).map((inner, at) => <Fragment key={`${child.key} ${at}`}>{inner}</Fragment>)
      : [child],
  );
}

const keyOf = (child: ReactNode, at: number) => (isValidElement(child) ? (child.key ?? at) : at);

/** Children that each stand on their own; the server leaves to the browser what it could not draw. */
export function Apart({ children }: { children: ReactNode }) {
  return each(children).map((child, at) => (
    <Guarded key={keyOf(child, at)}>
      <Suspense fallback={null}>{child}</Suspense>
    </Guarded>
  ));
}

interface RowProps {
  children: ReactNode;
  sx?: SxProps<Theme>;
}

/** Answer, pictures, tables and checks of a page. */
export const Readings = ({ children, sx = {} }: RowProps) => (
  <Box className={frameCss.readings} sx={sx}>
    <Apart>{children}</Apart>
  </Box>
);

/** Pictures beside each other. */
export const Charts = ({ children, sx = {} }: RowProps) => (
  <Box className={frameCss.charts} sx={sx}>
    <Apart>{children}</Apart>
  </Box>
);

/** Groups of fields that each stand on their own. */
export function Fields({ children }: { children: ReactNode }) {
  return each(children).map((child, at) => <Guarded key={keyOf(child, at)}>{child}</Guarded>);
}

/** The fields of a page. */
export const Bench = ({ children }: { children: ReactNode }) => (
  <div className={frameCss.bench}>
    <Fields>{children}</Fields>
  </div>
);
