import Typography from '@mui/material/Typography';
import type { Origin } from '@/core/car/records/records';
import { When } from '@/ui/When';

/** Of a copy: what it was copied from, and when. */
export const CameFrom = ({ origin: { name, workshop, at } }: { origin: Origin }) => (
  <Typography component="p" color="textSecondary" sx={{ mt: 2 }}>
    Copied from {name}
    {workshop === undefined ? ', which came as a file' : `, as ${workshop} showed it`}, <When at={at} />.
  </Typography>
);
