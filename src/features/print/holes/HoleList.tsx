'use client';

import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import { IconAct } from '@/ui/controls/IconAct';
import { TextInput } from '@/ui/controls/TextInput';
import Button from '@mui/material/Button';
import type { HolePattern } from '@/core/car/document/print';
import { useBuild } from '../../session/BuildContext';
import { DocumentField, Group } from '../../fields/fields';

const LETTERS = 26;
/** A, B … Z, A2, B2 … */
const nameAt = (index: number) =>
  `${String.fromCharCode(65 + (index % LETTERS))}${index < LETTERS ? '' : Math.floor(index / LETTERS) + 1}`;

/** The holes with their diameters; a new one takes the diameter of the last. */
export function HoleList({ pattern: { id, name, holes, readings } }: { pattern: HolePattern }) {
  const { edit, closed, session } = useBuild();
  const at = (...keys: string[]) => ['print', 'patterns', id, ...keys];
  const add = () => {
    let index = holes.length;
    while (holes.some((hole) => hole.id === nameAt(index))) index++;
    edit([
      {
        path: at('holes'),
        value: [...holes, { id: nameAt(index), diameterMm: holes.at(-1)?.diameterMm ?? 3 }],
      },
    ]);
  };
  const remove = (hole: string) =>
    edit([
      { path: at('holes'), value: holes.filter((one) => one.id !== hole) },
      { path: at('readings'), value: readings.filter(({ from, to }) => from !== hole && to !== hole) },
    ]);
  return (
    <Group title="Holes" aside={`${holes.length}`}>
      <div className={fieldsCss.textField}>
        <label htmlFor={`pattern-${id}`}>Name</label>
        <TextInput
          id={`pattern-${id}`}
          defaultValue={name}
          maxLength={80}
          disabled={closed}
          onBlur={(event) => {
            const typed = event.target.value.trim();
            if (typed !== '' && typed !== name) edit([{ path: at('name'), value: typed }]);
          }}
        />
      </div>
      {holes.map((hole) => (
        <div key={hole.id} onBlur={() => session.endStep()}>
          <DocumentField
            path={at('holes', hole.id, 'diameterMm')}
            label={`Hole ${hole.id}, across`}
            after={
              closed || holes.length <= 2 ? undefined : (
                <IconAct icon="takeOut" label={`Take hole ${hole.id} out`} onClick={() => remove(hole.id)} />
              )
            }
          />
        </div>
      ))}
      {closed ? null : (
        <Button sx={{ mt: 0.75 }} onClick={add}>
          Add a hole
        </Button>
      )}
      <Typography variant="small" color="textSecondary" sx={{ mt: 0.75 }}>
        The first hole lies at 0, 0 and the second on the line to the right.
      </Typography>
    </Group>
  );
}
