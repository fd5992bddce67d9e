import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import printCss from './print.module.css';
import fieldsCss from '@/ui/fields.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import IconButton from '@mui/material/IconButton';
import Button from '@mui/material/Button';
import { Group } from '../fields/fields';
import type { PlannedPart } from './usePlates';

interface WhatToPrintProps {
  parts: readonly PlannedPart[];
  counts: Readonly<Record<string, number>>;
  onCount(partId: string, count: number): void;
  onReset(): void;
}

const MOST = 50;

/** How many copies of each part go on the bed: what is owed, until it is said otherwise. */
export function WhatToPrint({ parts, counts, onCount, onReset }: WhatToPrintProps) {
  if (parts.length === 0) return null;
  const said = Object.keys(counts).length > 0;
  return (
    <Group
      title="On the bed"
      aside={
        said ? (
          <Button variant="link" onClick={onReset}>
            what is owed
          </Button>
        ) : (
          'what is owed'
        )
      }
    >
      {parts.map(({ part, owed, missing }) => {
        const count = counts[part.id] ?? owed.owed;
        return (
          <Box className={fieldsCss.field} sx={dimmedWhen(missing.length > 0)} key={part.id}>
            <span>
              {part.name}{' '}
              <Typography component="small" variant="small" color="textSecondary">
                {missing.length > 0
                  ? `needs ${missing.join(', ')}`
                  : owed.owed > 0
                    ? `${owed.owed} owed`
                    : owed.coming > 0
                      ? `${owed.coming} coming`
                      : `${owed.has} ready`}
              </Typography>
            </span>
            <Box component="span" className={fieldsCss.stepper} sx={{ width: 78 }}>
              <IconButton
                aria-label={`One ${part.name} less`}
                disabled={count === 0 || missing.length > 0}
                onClick={() => onCount(part.id, count - 1)}
              >
                −
              </IconButton>
              <output className={printCss.count} aria-label={`Copies of ${part.name}`}>
                {missing.length > 0 ? 0 : count}
              </output>
              <IconButton
                aria-label={`One ${part.name} more`}
                disabled={count >= MOST || missing.length > 0}
                onClick={() => onCount(part.id, count + 1)}
              >
                +
              </IconButton>
            </Box>
          </Box>
        );
      })}
    </Group>
  );
}
