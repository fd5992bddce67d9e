'use client';

import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import chassisCss from '@/features/chassis/chassis.module.css';
import { Fold } from '@/ui/controls/Fold';
import { Row } from '@/ui/layout/Row';
import type { BodyShape, WingProfile } from '@/core/physics/air/definition';
import { heightOfBuild, usualBody } from '@/core/worked/air/airOfBuild';
import { firstWing } from '@/core/worked/air/rearWing';
import { DocumentChoice, DocumentField, Group } from '../../fields/fields';
import { newId } from '../../api';
import { useBuild } from '../../session/BuildContext';
import { added, type Placed, placedOf } from './elements';

const BODIES: readonly (readonly [BodyShape, string])[] = [
  ['openFrame', 'open frame, no shell'],
  ['buggy', 'buggy, wheels outside'],
  ['saloon', 'closed car, upright'],
  ['wedge', 'low wedge'],
  ['streamliner', 'streamlined, wheels covered'],
];
const PROFILES: readonly (readonly [WingProfile, string])[] = [
  ['flatPlate', 'flat plate'],
  ['cambered', 'thin, curved'],
  ['thick', 'thick aerofoil'],
];
const air = (...keys: string[]) => ['chassis', 'air', ...keys];
const M2 = 1e-6;

interface AirBenchProps {
  chosen: string | undefined;
  onChoose(id: string | undefined): void;
}

/** The kind of body and what is built on it; the one that is chosen with its fields. */
export function AirBench({ chosen, onChoose }: AirBenchProps) {
  const { document, edit, closed } = useBuild();
  const shapes = document.chassis.air;
  const usual = usualBody(document);
  const placed = placedOf(shapes);
  const one = placed.find(({ id }) => id === chosen);
  return (
    <>
      <Group title="Body in the air">
        <DocumentChoice path={air('shape')} options={BODIES} empty="not drawn" />
        {shapes?.shape === undefined ? null : (
          <Fold title="Its size and place">
            <DocumentField path={air('frontalAreaM2')} usual={usual?.frontalAreaM2} />
            <DocumentField path={air('lengthMm')} usual={usual?.lengthMm} />
            <DocumentField path={air('xMm')} usual={usual?.xMm} />
            <DocumentField path={air('zMm')} usual={usual?.zMm} />
            <DocumentField path={air('sideAreaM2')} usual={usual?.sideAreaM2} />
            <DocumentField path={air('dragCoefficient')} />
          </Fold>
        )}
      </Group>
      {shapes?.shape === undefined ? null : (
        <Group title="On the body">
          <div className={chassisCss.bodies}>
            {placed.map(({ id, name }) => (
              <ButtonBase
                key={id}
                aria-pressed={id === chosen}
                onClick={() => onChoose(id === chosen ? undefined : id)}
              >
                <span>{name}</span>
              </ButtonBase>
            ))}
          </div>
          {one ? <ElementFields one={one} /> : null}
          {closed ? null : (
            <Row sx={{ mt: 0.5 }}>
              {one ? (
                <Button
                  variant="link"
                  onClick={() => {
                    edit([{ path: one.path, value: undefined }]);
                    onChoose(undefined);
                  }}
                >
                  take {one.name.toLowerCase()} off
                </Button>
              ) : null}
              <Adds onChoose={onChoose} />
            </Row>
          )}
        </Group>
      )}
    </>
  );
}

function Adds({ onChoose }: { onChoose(id: string): void }) {
  const { document, edit } = useBuild();
  const { air: shapes, wheelbaseMm = 0, trackFrontMm = 0 } = document.chassis;
  const high = Math.round(heightOfBuild(document) ?? 0);
  const put = (id: string, ...patch: Parameters<typeof edit>[0]) => {
    edit(patch);
    onChoose(id);
  };
  const rear = firstWing(document, `wing-${newId().slice(0, 8)}`);
  const reach = document.drive.tyre?.radiusMm ?? 0;
  return (
    <>
      {rear ? (
        <Button variant="link" onClick={() => put(rear.id, added(document, 'wings', rear))}>
          add a wing
        </Button>
      ) : null}
      <Button
        variant="link"
        onClick={() => {
          const id = `fin-${newId().slice(0, 8)}`;
          const xMm = -wheelbaseMm;
          put(
            id,
            added(document, 'fins', { id, ...{ name: 'Fin', heightMm: 40, chordMm: 60, xMm, zMm: high } }),
          );
        }}
      >
        add a fin
      </Button>
      {shapes?.splitter ? null : (
        <Button
          variant="link"
          onClick={() =>
            put('splitter', {
              path: air('splitter'),
              value: { widthMm: Math.round(0.8 * trackFrontMm), lengthMm: 30, xMm: Math.round(reach + 15) },
            })
          }
        >
          add a splitter
        </Button>
      )}
      {shapes?.undertray ? null : (
        <Button
          variant="link"
          onClick={() =>
            put('undertray', {
              path: air('undertray'),
              value: {
                widthMm: Math.round(0.5 * trackFrontMm),
                lengthMm: Math.round(0.8 * wheelbaseMm),
                xMm: -Math.round(0.5 * wheelbaseMm),
              },
            })
          }
        >
          close the underside
        </Button>
      )}
      {shapes?.noseScoop ? null : (
        <Button
          variant="link"
          onClick={() =>
            put('noseScoop', {
              path: air('noseScoop'),
              value: { areaM2: 1500 * M2, xMm: Math.round(reach), zMm: Math.round(0.4 * high), turnDeg: 45 },
            })
          }
        >
          lead air through the nose
        </Button>
      )}
    </>
  );
}

function ElementFields({ one: { kind, path } }: { one: Placed }) {
  const { document } = useBuild();
  const at = (key: string) => [...path, key];
  if (kind === 'wing') {
    const wing = document.chassis.air?.wings?.find(({ id }) => id === path[3]);
    return (
      <>
        <DocumentField path={at('angleDeg')} />
        <DocumentField path={at('spanMm')} />
        <DocumentField path={at('chordMm')} />
        <DocumentField path={at('endPlateHeightMm')} usual={0} />
        <DocumentChoice path={at('profile')} options={PROFILES} />
        {wing?.profile === 'flatPlate' ? null : (
          <DocumentField path={at('camberPct')} usual={wing?.profile === 'thick' ? 3 : 5} />
        )}
        <DocumentField path={at('flowShare')} usual={1} />
        <DocumentField path={at('xMm')} />
        <DocumentField path={at('zMm')} />
        <Typography variant="small" color="textSecondary">
          Right behind a body the flow is slower: about 0.7 of the free one over its tail, 0.4 in its wake.
        </Typography>
      </>
    );
  }
  if (kind === 'fin')
    return (
      <>
        <DocumentField path={at('heightMm')} />
        <DocumentField path={at('chordMm')} />
        <DocumentField path={at('count')} usual={1} />
        <DocumentField path={at('flowShare')} usual={1} />
        <DocumentField path={at('xMm')} />
        <DocumentField path={at('zMm')} />
      </>
    );
  if (kind === 'noseScoop')
    return (
      <>
        <DocumentField path={at('areaM2')} />
        <DocumentField path={at('turnDeg')} usual={0} />
        <DocumentField path={at('xMm')} />
        <DocumentField path={at('zMm')} />
      </>
    );
  return (
    <>
      <DocumentField path={at('widthMm')} />
      <DocumentField path={at('lengthMm')} />
      <DocumentField path={at('xMm')} />
      {kind === 'undertray' ? <DocumentField path={at('diffuserDeg')} usual={0} /> : null}
    </>
  );
}
