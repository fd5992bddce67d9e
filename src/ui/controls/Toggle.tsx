'use client';

import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { ReactNode } from 'react';

interface TogglesProps {
  /** What is chosen by it. */
  label?: string;
  children: ReactNode;
}

/** One of a few, side by side. */
export function Toggles({ label, children }: TogglesProps) {
  'use memo';
  return <ToggleButtonGroup aria-label={label}>{children}</ToggleButtonGroup>;
}

interface ToggleProps {
  pressed: boolean;
  onPress(): void;
  size?: 'small' | 'medium';
  disabled?: boolean;
  label?: string;
  title?: string;
  children: ReactNode;
}

export function Toggle({ pressed, onPress, label, ...rest }: ToggleProps) {
  'use memo';
  return <ToggleButton value="" selected={pressed} onClick={onPress} aria-label={label} {...rest} />;
}
