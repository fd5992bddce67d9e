'use client';

import { useMemo } from 'react';
import type { BuildRecord } from '@/core/car/records/records';
import { useReader } from '@/ui/reader';
import { dayText } from '@/ui/When';
import { useBuild, useBuildChecks } from '../../session/BuildContext';
import { Palette } from './Palette';
import { placesOf } from './places';

interface BuildPaletteProps {
  builds: readonly BuildRecord[];
  onGo(href: string): void;
  onClose(): void;
}

/** Every page, check, field, part, run and failure of a build, and every thing of the library. */
export function BuildPalette({ builds, ...rest }: BuildPaletteProps) {
  const page = useBuild();
  const checks = useBuildChecks();
  const { reader } = useReader();
  const places = useMemo(
    () => placesOf({ ...page, checks, builds, day: (at) => dayText(at, reader) }),
    [page, checks, builds, reader],
  );
  return <Palette places={places} {...rest} />;
}
