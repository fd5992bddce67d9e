'use client';

import fieldsCss from '@/ui/fields.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import { IconAct } from '@/ui/controls/IconAct';
import { Select } from '@/ui/controls/Select';
import { caseWords } from '@/words/checks/loads';
import { counted, firstUp } from '@/words/lists';
import { say } from '@/words/findings';
import { needNames } from '@/words/needs';
import type { Part, PartPull } from '@/core/car/parts/parts';
import { casesOfBuild } from '@/core/worked/parts/casesOfBuild';
import { firstOfCases, isSameCase } from '@/core/worked/parts/solidOfPart';
import { forceOf } from '@/core/worked/parts/forceOnPart';
import type { LoadCaseName } from '@/core/physics/strength/loadCases';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import type { Vec3 } from '@/core/base/vec3';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';
import { LOAD_OPTIONS } from '../words';

const WAYS: readonly (readonly [string, Vec3])[] = [
  ['+x', [1, 0, 0]],
  ['−x', [-1, 0, 0]],
  ['+y', [0, 1, 0]],
  ['−y', [0, -1, 0]],
  ['+z', [0, 0, 1]],
  ['−z', [0, 0, -1]],
];
const nameOfWay = (direction: Vec3) =>
  WAYS.find(([, way]) => way.every((one, axis) => Math.abs(one - direction[axis]!) < 1e-6))?.[0] ??
  'as the face';

/** Where the mesh is held and what pulls at it. */
export function Held({ part }: { part: Part }) {
  const { document, surface, edit, closed, session } = useBuild();
  const { reader } = useReader();
  const { held = [], pulls = [] } = part.mesh!;
  const typed = pulls.filter(({ from }) => from !== 'link');
  const drawnCases = firstOfCases(pulls.filter(({ from }) => from === 'link')).map((pull) => ({
    pull,
    of: pulls.filter((one) => isSameCase(one, pull)).length,
  }));
  const cases = casesOfBuild(document, surface);
  const at = (...keys: string[]) => ['parts', 'items', part.id, 'mesh', ...keys];
  const change = (id: string, next: Partial<PartPull>) =>
    edit(
      [{ path: at('pulls'), value: pulls.map((pull) => (pull.id === id ? { ...pull, ...next } : pull)) }],
      `pull-${id}`,
    );
  const span = ({ min, max }: { min: Vec3; max: Vec3 }) =>
    min
      .map(
        (one, axis) =>
          `${formatNumber(one, reader.locale, 3)} to ${formatNumber(max[axis]!, reader.locale, 3)}`,
      )
      .join('; ');
  return (
    <Box component="section" sx={{ flex: 1, minWidth: 300 }} aria-label="Held and pulled">
      <Typography component="p" variant="label">
        Held
      </Typography>
      {held.length === 0 ? (
        <Typography variant="note" color="textSecondary">
          Nowhere yet: hold a face, in the picture or in the list.
        </Typography>
      ) : (
        held.map((box, index) => (
          <Row key={box.id} className={fieldsCss.supplyitem} sx={{ flexWrap: 'nowrap' }}>
            <Typography component="span" variant="note" color="textSecondary" sx={{ flex: 1 }}>
              box {index + 1}: {span(box)} mm
            </Typography>
            <IconAct
              icon="takeOut"
              label={`Release box ${index + 1}`}
              disabled={closed}
              onClick={() => edit([{ path: at('held'), value: held.filter(({ id }) => id !== box.id) }])}
            />
          </Row>
        ))
      )}
      <Typography component="p" variant="label" sx={{ mt: 1 }}>
        Pulled
      </Typography>
      {drawnCases.map(({ pull, of }) => (
        <Row key={pull.id} className={fieldsCss.supplyitem} sx={{ flexWrap: 'nowrap' }}>
          <Typography component="span" variant="note" color="textSecondary" sx={{ flex: 1 }}>
            {firstUp(caseWords(pull))}: {counted(of, 'pull')} from the links, which follow the car
          </Typography>
          <IconAct
            icon="takeOut"
            label={`Take ${caseWords(pull)} off`}
            disabled={closed}
            onClick={() =>
              edit([{ path: at('pulls'), value: pulls.filter((one) => !isSameCase(one, pull)) }])
            }
          />
        </Row>
      ))}
      {pulls.length === 0 ? (
        <Typography variant="note" color="textSecondary">
          By nothing yet: pull a face.
        </Typography>
      ) : (
        typed.map((pull, index) => {
          const force = cases.ok ? forceOf(pull, cases.value) : undefined;
          return (
            <div
              key={pull.id}
              className={fieldsCss.supplyitem}
              role="group"
              aria-label={`Pull ${index + 1}`}
              onBlur={() => session.endStep()}
            >
              <Row sx={{ flexWrap: 'nowrap' }}>
                <Select
                  look="bare"
                  aria-label={`Pull ${index + 1} comes from`}
                  value={pull.from}
                  disabled={closed}
                  sx={{ flex: 1, minWidth: 0 }}
                  onChange={(event) =>
                    change(pull.id, {
                      from: event.target.value as LoadCaseName | 'own',
                      ...(event.target.value === 'own' ? { forceN: pull.forceN ?? 50 } : {}),
                    })
                  }
                >
                  {LOAD_OPTIONS.filter(({ id }) => id !== 'link').map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                </Select>
                <Select
                  look="bare"
                  aria-label={`Pull ${index + 1} goes`}
                  value={nameOfWay(pull.direction)}
                  disabled={closed}
                  onChange={(event) => {
                    const way = WAYS.find(([name]) => name === event.target.value);
                    if (way) change(pull.id, { direction: way[1] });
                  }}
                >
                  {nameOfWay(pull.direction) === 'as the face' ? <option>as the face</option> : null}
                  {WAYS.map(([name]) => (
                    <option key={name}>{name}</option>
                  ))}
                </Select>
                <IconAct
                  icon="takeOut"
                  label={`Take pull ${index + 1} off`}
                  disabled={closed}
                  onClick={() =>
                    edit([{ path: at('pulls'), value: pulls.filter(({ id }) => id !== pull.id) }])
                  }
                />
              </Row>
              {pull.from === 'own' ? (
                <QuantityField
                  label="Force"
                  quantity="forceN"
                  limits={{ from: 0, to: 1e6 }}
                  value={pull.forceN}
                  disabled={closed}
                  onChange={(forceN) => change(pull.id, { forceN })}
                />
              ) : (
                <QuantityField
                  label="Share of it"
                  quantity="coefficient"
                  limits={{ above: 0, to: 10 }}
                  value={pull.share}
                  usual={1}
                  disabled={closed}
                  onChange={(share) => change(pull.id, { share })}
                />
              )}
              <Typography variant="small" color="textSecondary">
                {force
                  ? `${formatText(force.forceN, 'forceN', reader)}. ${say(force.how, reader)}`
                  : cases.ok
                    ? 'The build does not say what this case needs.'
                    : `Needs ${needNames(cases.missing)}.`}
              </Typography>
            </div>
          );
        })
      )}
    </Box>
  );
}
