import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';

interface ContestedProps {
  label: string;
  mine: string;
  theirs: string;
  onKeep(which: 'mine' | 'theirs'): void;
}

/** One thing that was changed in two places: both values, and which one to keep. */
export function Contested({ label, mine, theirs, onKeep }: ContestedProps) {
  return (
    <Stack direction="row" spacing={1} useFlexGap sx={{ alignItems: 'center', flexWrap: 'wrap', py: 0.5 }}>
      <span>
        <b>{label}</b> was changed elsewhere too: here <b>{mine}</b>, there <b>{theirs}</b>.
      </span>
      <Button variant="outlined" onClick={() => onKeep('mine')}>
        Keep {mine}
      </Button>
      <Button variant="outlined" onClick={() => onKeep('theirs')}>
        Keep {theirs}
      </Button>
    </Stack>
  );
}
