import frameCss from '@/ui/layout/frame.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import Link from 'next/link';

export default function NotFound() {
  return (
    <main className={frameCss.garage}>
      <Typography variant="answer">There is nothing at this address.</Typography>
      <Box component="p" sx={{ mt: 1 }}>
        The build, revision or page may have been deleted or renamed. <Link href="/">Go to the garage</Link>{' '}
        and choose from there.
      </Box>
    </main>
  );
}
