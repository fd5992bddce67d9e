import garageCss from './garage.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';

const STEPS: readonly (readonly [string, string])[] = [
  ['Wish', 'Say how fast, how long and on which ground. The brief tells what that takes.'],
  ['Choose', 'Motor, pack, ratio and tyre: speed, heat and grip are worked out as you choose.'],
  ['Make', 'Gears, corners and parts are held against their loads, then laid on the printer’s bed.'],
  ['Drive', 'Time it over a stretch of ground. What you measure stands beside what was predicted.'],
  ['Learn', 'What broke is run to its cause, and the next revision begins with what mends it.'],
];

/** What happens here, for whoever has few cars yet. */
export function HowItGoes() {
  return (
    <Box component="section" aria-labelledby="how-it-goes" sx={{ mt: 4 }}>
      <Typography variant="title" id="how-it-goes">
        From a wish to a car that lasts
      </Typography>
      <Typography color="textSecondary" sx={{ maxWidth: 720 }}>
        Give a build a name above to begin, or open a car of the garage and turn its figures: each is saved by
        itself, and undo brings it back.
      </Typography>
      <Box
        component="ol"
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: 'repeat(2, 1fr)', md: 'repeat(5, 1fr)' },
          columnGap: 3,
          rowGap: 1.5,
          mt: 1.5,
        }}
      >
        {STEPS.map(([name, does], at) => (
          <li key={name} className={garageCss.step}>
            <Typography variant="heading" component="div">
              <Typography variant="reading" color="primary" sx={{ mr: 1 }}>
                {at + 1}
              </Typography>
              {name}
            </Typography>
            <Typography variant="note">{does}</Typography>
          </li>
        ))}
      </Box>
    </Box>
  );
}
