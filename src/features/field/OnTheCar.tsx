import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { Fold } from '@/ui/controls/Fold';
import { Tick } from '@/ui/controls/Tick';
import { goodCopies } from '@/core/worked/print/log';
import { useBuild } from '../session/BuildContext';
import { usualCopies } from './onTheCar';

/** Which printed copies are on the car: those of the last run, until it is said otherwise. */
export function OnTheCar({
  chosen,
  onChange,
}: {
  chosen: string[] | undefined;
  onChange(copies: string[]): void;
}) {
  const { document, copies, runs } = useBuild();
  const parts = document.parts.items.filter(({ id }) => goodCopies(copies, id).length > 0);
  if (parts.length === 0) return null;
  const on = new Set(chosen ?? usualCopies(document, copies, runs));
  const toggle = (id: string) => onChange(on.has(id) ? [...on].filter((one) => one !== id) : [...on, id]);
  return (
    <Fold
      title={
        <>
          On the car: {on.size} printed copies{chosen ? '' : ', as in the last run'}
        </>
      }
    >
      <Typography component="ul" variant="note">
        {parts.map((part) => (
          <li key={part.id} className={fieldsCss.field}>
            <span>{part.name}</span>
            <span>
              {goodCopies(copies, part.id).map(({ id }, at) => (
                <Box component="label" sx={{ ml: 1.25 }} key={id}>
                  <Tick
                    checked={on.has(id)}
                    onChange={() => toggle(id)}
                    aria-label={`${part.name} no. ${at + 1} is on the car`}
                  />{' '}
                  {at + 1}
                </Box>
              ))}
            </span>
          </li>
        ))}
      </Typography>
    </Fold>
  );
}
