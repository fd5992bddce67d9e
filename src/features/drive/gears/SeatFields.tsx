'use client';

import { Fold } from '@/ui/controls/Fold';
import { type Fit, FITS } from '@/core/physics/printing/coupon';
import { USUAL_FIT } from '@/core/worked/transmissions/made';
import { DocumentChoice, DocumentField } from '../../fields/fields';

/** How a body sits on its shaft: bore at once, the rest folded. */
export function SeatFields({
  path,
  of,
  bore,
  fit = USUAL_FIT,
}: {
  path(...keys: string[]): string[];
  of: 'pinion' | 'wheel' | 'carrier';
  bore: number;
  /** Where none is chosen. */
  fit?: Fit;
}) {
  const at = (key: string) => path(of, key);
  return (
    <>
      <DocumentField path={at('boreMm')} label="Bore" example={bore} />
      <DocumentField path={at('flatDepthMm')} label="Flat, depth" />
      <DocumentField path={at('hexAcrossFlatsMm')} label="Or hex, across flats" />
      <FitField path={at('boreFit')} usual={fit} />
      <Fold title="Hub and bolts">
        <DocumentField path={at('hubDiameterMm')} label="Hub, diameter" />
        <DocumentField path={at('hubLengthMm')} label="Seat on the shaft" />
        <DocumentField path={at('setScrewMm')} label="Set screw, hole" />
        <BoltFields at={at} />
      </Fold>
    </>
  );
}

/** Screws on a circle. */
function BoltFields({ at }: { at(key: string): string[] }) {
  return (
    <>
      <DocumentField path={at('bolts')} label="Bolt holes" />
      <DocumentField path={at('boltCircleMm')} label="Bolt circle" />
      <DocumentField path={at('boltHoleMm')} label="Bolt hole" />
    </>
  );
}

/** A ring's rim, and how it is held. */
export const RimFields = ({ path }: { path(...keys: string[]): string[] }) => (
  <>
    <DocumentField path={path('wheel', 'outsideMm')} label="Outside, across" example={60} />
    <Fold title="Bolts through the rim">
      <BoltFields at={(key) => path('wheel', key)} />
    </Fold>
  </>
);

export const FitField = ({ path, usual }: { path: string[]; usual: Fit }) => (
  <DocumentChoice path={path} label="Fit" options={FITS.map((fit) => [fit, fit] as const)} empty={usual} />
);
