import Box from '@mui/material/Box';

const STEPS: readonly (readonly [string, string])[] = [
  ['Wish', 'Say how fast, how long and on which ground. The brief tells what that takes.'],
  ['Choose', 'Motor, pack, ratio and tyre: speed, heat and grip are worked out as you choose.'],
  ['Make', 'Gears, corners and parts are held against their loads, then laid on the printer’s bed.'],
  ['Drive', 'Time it over 20 m. What you measure stands beside what was predicted.'],
  ['Learn', 'What broke is run to its cause, and the next revision begins with what mends it.'],
];

/** What happens here, for whoever has few cars yet. */
export function HowItGoes() {
  return (
    <Box component="section" aria-labelledby="how-it-goes" sx={{ mt: 4 }}>
      <Box component="h2" id="how-it-goes" sx={{ fontSize: 18, fontWeight: 650, fontStretch: '92%' }}>
        From a wish to a car that lasts
      </Box>
      <Box component="p" className="quiet" sx={{ maxWidth: 720 }}>
        Give a build a name above to begin, or open a car of the garage and turn its figures: each is saved by
        itself, and undo brings it back.
      </Box>
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
          <Box key={name} component="li" sx={{ borderTop: 3, borderColor: 'text.primary', pt: 0.75 }}>
            <Box component="b" sx={{ fontStretch: '92%', fontSize: 15 }}>
              <Box component="span" className="mono" sx={{ mr: 1, color: 'primary.main' }}>
                {at + 1}
              </Box>
              {name}
            </Box>
            <Box component="p" sx={{ fontSize: 13, mt: 0.25 }}>
              {does}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
