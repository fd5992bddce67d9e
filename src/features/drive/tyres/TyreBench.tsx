'use client';

import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Fold } from '@/ui/controls/Fold';
import { Note } from '@/ui/controls/Note';
import { QuantityField } from '@/ui/QuantityField';
import { labelOf } from '@/words/labels/labels';
import { HOLD_NAMES } from '@/words/labels/tyres';
import { isUnfinished } from '@/core/car/unfinished/unfinished';
import { forgetMeasured, TYRE_HOLDS, type TyreHold } from '@/core/car/tyres/tyres';
import { isHollowMake, KNOWN_TYRE_KINDS, usualHold, wholeMake } from '@/core/physics/tyres/tyreKinds';
import { tyreForBuild } from '@/core/car/library/items';
import { useBuild } from '../../session/BuildContext';
import { DocumentChoice, DocumentField, Group } from '../../fields/fields';
import { LibraryPick } from '../../fields/LibraryPick';
import { Fields } from '../../frame/Guarded';

type Keys = { tyre: 'tyre' | 'frontTyre'; hold: 'tyreHold' | 'frontTyreHold' };
const ALL: Keys = { tyre: 'tyre', hold: 'tyreHold' };
const FRONT: Keys = { tyre: 'frontTyre', hold: 'frontTyreHold' };

/** The same tyre by its diameter, as it is sold. */
function TyreDiameter({ tyre, radiusMm }: { tyre: Keys['tyre']; radiusMm: number }) {
  'use memo';
  const { document, edit, closed } = useBuild();
  const path = ['drive', tyre, 'radiusMm'];
  const { above = 0, to = Infinity } = labelOf(path).limits ?? {};
  return (
    <QuantityField
      label={tyre === 'tyre' ? 'or its diameter' : 'or its diameter, front'}
      quantity="lengthMm"
      value={2 * radiusMm}
      unfinished={isUnfinished(document, path)}
      limits={{ above: 2 * above, to: 2 * to }}
      disabled={closed}
      onChange={(value) =>
        edit([{ path, value: value === undefined ? undefined : value / 2 }], path.join('.'))
      }
    />
  );
}

/** The tyres as they are built and held on their rims. */
export function TyreBench() {
  const { document, edit, closed } = useBuild();
  const { tyre, frontTyre } = document.drive;
  const ownFront = () =>
    edit([
      { path: ['drive', 'frontTyre'], value: tyre },
      { path: ['drive', 'frontTyreHold'], value: document.drive.tyreHold },
    ]);
  const alike = () =>
    edit([
      { path: ['drive', 'frontTyre'], value: undefined },
      { path: ['drive', 'frontTyreHold'], value: undefined },
    ]);
  return (
    <Fields>
      <Wheels keys={ALL} title={frontTyre ? 'Rear tyre' : 'Tyre'} />
      {frontTyre ? <Wheels keys={FRONT} title="Front tyre" /> : null}
      {tyre && !closed ? (
        <Button variant="link" onClick={frontTyre ? alike : ownFront}>
          {frontTyre ? 'Same tyres front and rear' : 'Other tyres at the front'}
        </Button>
      ) : null}
      <Note>
        A tyre that bursts at speed is a knife. Spin wheels up by remote, behind a shield, with nobody in the
        plane of the wheel and never in the hand. Local rules go first.
      </Note>
    </Fields>
  );
}

/** The tyres of all wheels, or of one axle. */
function Wheels({ keys, title }: { keys: Keys; title: string }) {
  const { document, library } = useBuild();
  const tyre = document.drive[keys.tyre];
  return (
    <Group title={title}>
      <LibraryPick kind="tyre" path={['drive', keys.tyre]} copy={(item) => tyreForBuild(item, library)} />
      {tyre ? (
        <>
          <DocumentChoice
            path={['drive', keys.tyre, 'ring']}
            label={keys.tyre === 'tyre' ? 'Built as' : 'Built as, front'}
            empty="not said"
            options={KNOWN_TYRE_KINDS.map((kind) => [kind, kind] as const)}
            also={forgetMeasured(document.drive, keys.hold)}
          />
          <DocumentField
            path={['drive', keys.tyre, 'radiusMm']}
            label={keys.tyre === 'tyre' ? 'Radius' : 'Radius, front'}
          />
          <TyreDiameter tyre={keys.tyre} radiusMm={tyre.radiusMm} />
          <DocumentField path={['drive', keys.tyre, 'massG']} />
        </>
      ) : null}
      {tyre?.ring ? <OnItsRim keys={keys} kind={tyre.ring} radiusMm={tyre.radiusMm} /> : null}
    </Group>
  );
}

function OnItsRim({
  keys,
  kind,
  radiusMm,
}: {
  keys: Keys;
  kind: (typeof KNOWN_TYRE_KINDS)[number];
  radiusMm: number;
}) {
  const { document } = useBuild();
  const held = document.drive[keys.hold] ?? {};
  const { by: said, provenRpm: _, ...figures } = held;
  const isHollow = isHollowMake({ kind });
  const holds = TYRE_HOLDS.filter((one) => !isHollow || one !== 'bonded');
  const by = said ?? usualHold({ kind });
  const usual = wholeMake({ kind, radiusMm, rimRadiusMm: figures.rimRadiusMm });
  const field = (key: keyof TyreHold, more: { usual?: number; example?: number } = {}) => (
    <DocumentField path={['drive', keys.hold, key]} {...more} />
  );
  return (
    <>
      <DocumentChoice
        path={['drive', keys.hold, 'by']}
        label={keys.hold === 'tyreHold' ? 'Held by' : 'Held by, front'}
        empty={`${HOLD_NAMES[usualHold({ kind })]}, as is usual`}
        options={holds.map((one) => [one, HOLD_NAMES[one]] as const)}
      />
      {field('rimRadiusMm', { usual: usual.rimRadiusMm })}
      {field('widthMm', { usual: usual.widthMm })}
      {by === 'beads' ? field('beadMm', { usual: usual.beadMm }) : null}
      {by === 'clamp' ? field('screws', { example: 6 }) : null}
      {by === 'clamp' ? field('screwPreloadN', { example: 300 }) : null}
      {by === 'friction' ? field('interferenceMm', { example: 1 }) : null}
      {isHollow ? field('wallMm', { usual: usual.wallMm }) : null}
      {isHollow ? field('insertDensityKgM3', { usual: usual.insertDensityKgM3 }) : null}
      {kind === 'air-filled' ? field('pressureMpa', { usual: usual.pressureMpa }) : null}
      <Fold title="As measured" open={measuredOf(held)}>
        <Typography variant="small" color="textSecondary">
          Typical of its kind until you know better: the spin bench under Field tells modulus and proven
          turns.
        </Typography>
        {field('densityKgM3', { usual: usual.densityKgM3 })}
        {field('hoopModulusMpa', { usual: usual.hoopModulusMpa })}
        {field('hoopStrengthMpa', { usual: usual.hoopStrengthMpa })}
        {by === 'bonded' ? field('bondStrengthMpa', { usual: usual.bondStrengthMpa }) : null}
        {by === 'beads' ? field('bondShearMpa', { usual: usual.bondShearMpa }) : null}
        {field('provenRpm')}
      </Fold>
    </>
  );
}

const measuredOf = ({ densityKgM3, hoopModulusMpa, hoopStrengthMpa, provenRpm }: TyreHold): boolean =>
  [densityKgM3, hoopModulusMpa, hoopStrengthMpa, provenRpm].some((figure) => figure !== undefined);
