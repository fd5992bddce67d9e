import { dragMeasured } from '@/core/car/document/chassis';
import { gripTable } from '@/core/worked/grip/gripOfRuns';
import { coastOf } from '@/core/worked/grip/coastOfRuns';
import { circleOf, straightOf } from '@/core/worked/grip/handlingOfRuns';
import type { RunRecord } from '@/core/car/records/records';
import { marshHareDocuments } from '../marshHareRevisions';
import {
  marshHareCoast,
  marshHareGrip,
  marshHareHandling,
  TRUE_COAST,
  TRUE_GRIP,
  TRUE_HANDLING,
  trueFriction,
} from './marshHareGrip';

const { C, D } = marshHareDocuments();

describe('what was measured of the demo’s grip and handling', () => {
  it('finds the hidden friction within two errors, on both grounds', () => {
    const table = gripTable(C, marshHareGrip(C) as RunRecord[]);
    expect(table).toHaveLength(2);
    for (const { surfaceId, found } of table) {
      const surface = C.brief.surfaces.find(({ id }) => id === surfaceId)!;
      const { mu, u } = found.longitudinal!;
      expect(Math.abs(mu - trueFriction(C, surface))).toBeLessThan(2 * u);
      if (found.lateral)
        expect(Math.abs(found.lateral.mu / mu - TRUE_GRIP.across)).toBeLessThan((2 * found.lateral.u) / mu);
    }
    expect(D.brief.surfaces.every(({ mu, muMeasured }) => muMeasured?.mu === mu)).toBe(true);
  });

  it('rolls out with the hidden drag, told from the wind', () => {
    const run = marshHareCoast(C);
    const found = coastOf(C, run.report!.coast!);
    if (!found.ok) throw new Error(found.missing.join());
    const { cdaM2, cdaErrorM2, windMps, windErrorMps, rollingResistance, rollingResistanceError } =
      found.value;
    expect(Math.abs(cdaM2 - C.chassis.cdaM2!)).toBeLessThan(2 * cdaErrorM2);
    expect(Math.abs(windMps! - TRUE_COAST.windMps)).toBeLessThan(2 * windErrorMps!);
    const ground = C.brief.surfaces[1]!.rollingResistance;
    expect(Math.abs(rollingResistance - TRUE_COAST.rolling * ground)).toBeLessThan(
      2 * rollingResistanceError,
    );
    expect(found.value.findings).toEqual([]);
    expect(dragMeasured(D.chassis)!.errorM2).toBeLessThan(0.1 * D.chassis.cdaM2!);
  });

  it('finds how much more it understeers than foretold, and which way it pulls', () => {
    const [circles, straight] = marshHareHandling(D);
    const surface = D.brief.surfaces[0];
    const turned = circleOf(D, surface, circles!.report!.circle!);
    expect(turned.ok).toBe(true);
    if (turned.ok)
      expect(Math.abs(turned.value.differenceDegPerMps2! - TRUE_HANDLING.moreDegPerMps2)).toBeLessThan(
        2 * turned.value.understeerErrorDegPerMps2,
      );
    const drifted = straightOf(D, surface, straight!.report!.straight!);
    expect(drifted.ok && drifted.value.side).toBe('left');
    expect(drifted.ok && Math.abs(drifted.value.biasM - TRUE_HANDLING.biasM)).toBeLessThan(
      2 * (drifted.ok ? drifted.value.biasErrorM : 0),
    );
  });
});
