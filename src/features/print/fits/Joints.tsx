import fieldsCss from '@/ui/fields.module.css';
import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { IconAct } from '@/ui/controls/IconAct';
import Button from '@mui/material/Button';
import { TextInput } from '@/ui/controls/TextInput';
import { Select } from '@/ui/controls/Select';
import { useState } from 'react';
import { type Joint, JOINT_KINDS, type JointKind } from '@/core/car/document/print';
import { FITS } from '@/core/physics/printing/coupon';
import { newId } from '../../api';
import { useBuild } from '../../session/BuildContext';
import { DocumentChoice, DocumentField, Group } from '../../fields/fields';

const KIND_WORDS: Readonly<Record<JointKind, string>> = {
  screw: 'screw',
  bearing: 'bearing',
  pin: 'pin',
  captive: 'captive, printed in place',
};
const HOLD_WORDS = [
  ['throughBolt', 'a nut behind'],
  ['nutTrap', 'a nut in a pocket'],
  ['heatSetInsert', 'an insert'],
  ['screwInPlastic', 'the plastic itself'],
] as const;
const START: Readonly<Record<JointKind, Partial<Joint>>> = {
  screw: { diameterMm: 3, lengthMm: 10, hold: 'screwInPlastic' },
  bearing: { diameterMm: 5, outerMm: 11, widthMm: 4 },
  pin: { diameterMm: 3, lengthMm: 20 },
  captive: {},
};

/** The joints of the car: what holds which part to which. */
export function Joints() {
  const { document, edit, closed } = useBuild();
  const joints = document.print.joints ?? [];
  const [open, setOpen] = useState<string>();
  const [kind, setKind] = useState<JointKind>('screw');
  const [name, setName] = useState('');
  const parts = document.parts.items.map(({ id, name: called }) => [id, called] as const);
  const add = () => {
    if (name.trim() === '') return;
    const fresh: Joint = { id: `joint-${newId().slice(0, 8)}`, name: name.trim(), kind, ...START[kind] };
    edit([{ path: ['print', 'joints'], value: [...joints, fresh] }]);
    setOpen(fresh.id);
    setName('');
  };
  return (
    <Group title="Joints" aside={joints.length > 0 ? `${joints.length} kinds` : 'screws, bearings, pins'}>
      {joints.map((joint) => (
        <section key={joint.id} aria-label={joint.name} className={fieldsCss.supplyitem}>
          <Row sx={{ flexWrap: 'nowrap' }}>
            <Button
              variant="link"
              sx={{ flex: 1, textAlign: 'left' }}
              aria-expanded={open === joint.id}
              onClick={() => setOpen(open === joint.id ? undefined : joint.id)}
            >
              {(joint.count ?? 1) > 1 ? `${joint.count} × ` : ''}
              {joint.name}
            </Button>
            <Typography component="small" variant="small" color="textSecondary">
              {KIND_WORDS[joint.kind]}
            </Typography>
            <IconAct
              icon="takeOut"
              label={`Take ${joint.name} out`}
              disabled={closed}
              onClick={() =>
                edit([{ path: ['print', 'joints'], value: joints.filter(({ id }) => id !== joint.id) }])
              }
            />
          </Row>
          {open === joint.id ? <JointFields joint={joint} parts={parts} /> : null}
        </section>
      ))}
      {closed ? null : (
        <Row
          as="form"
          sx={{ mt: 0.75, flexWrap: 'nowrap' }}
          onSubmit={(event) => {
            event.preventDefault();
            add();
          }}
        >
          <TextInput
            boxed
            sx={{ minWidth: 0, flex: 1 }}
            aria-label="Name of the joint"
            placeholder="e.g. Motor screws"
            value={name}
            maxLength={80}
            onChange={(event) => setName(event.target.value)}
          />
          <Select
            sx={{ maxWidth: 100 }}
            aria-label="Kind of joint"
            value={kind}
            onChange={(event) => setKind(event.target.value as JointKind)}
          >
            {JOINT_KINDS.map((one) => (
              <option key={one} value={one}>
                {KIND_WORDS[one]}
              </option>
            ))}
          </Select>
          <Button type="submit" aria-label="Add the joint" disabled={name.trim() === ''}>
            Add
          </Button>
        </Row>
      )}
    </Group>
  );
}

function JointFields({
  joint: { id, kind, hold },
  parts,
}: {
  joint: Joint;
  parts: readonly (readonly [string, string])[];
}) {
  const at = (key: string) => ['print', 'joints', id, key];
  return (
    <Box sx={{ pl: 1 }}>
      <DocumentChoice
        path={at('part')}
        label={kind === 'bearing' ? 'Sits in' : 'Held in'}
        options={parts}
        empty="the car"
      />
      {kind === 'screw' || kind === 'pin' ? (
        <DocumentChoice path={at('to')} label="Joins to it" options={parts} empty="nothing named" />
      ) : null}
      <DocumentField path={at('count')} usual={1} />
      {kind === 'captive' ? null : (
        <DocumentField
          path={at('diameterMm')}
          label={kind === 'bearing' ? 'Bore' : kind === 'screw' ? 'Thread' : 'Diameter'}
        />
      )}
      {kind === 'bearing' ? (
        <>
          <DocumentField path={at('outerMm')} />
          <DocumentField path={at('widthMm')} />
        </>
      ) : kind === 'captive' ? null : (
        <DocumentField path={at('lengthMm')} />
      )}
      {kind === 'screw' ? <DocumentChoice path={at('hold')} options={HOLD_WORDS} /> : null}
      {kind === 'screw' && (hold === 'heatSetInsert' || hold === 'nutTrap') ? (
        <DocumentField
          path={at('insertMm')}
          label={hold === 'nutTrap' ? 'Nut, across its flats' : 'Hole that the insert needs'}
          example={hold === 'nutTrap' ? 5.5 : 4}
        />
      ) : null}
      {kind === 'captive' ? null : (
        <DocumentChoice
          path={at('fit')}
          options={FITS.map((fit) => [fit, fit] as const)}
          empty={kind === 'bearing' ? 'press' : kind === 'pin' ? 'running' : 'loose'}
        />
      )}
    </Box>
  );
}
