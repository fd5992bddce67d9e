import frameCss from '@/ui/layout/frame.module.css';
import Typography from '@mui/material/Typography';
import Link from 'next/link';

/** A link that leads nowhere: nobody is told whether it ever did. */
export const LinkOver = () => (
  <main className={frameCss.garage}>
    <Typography variant="answer">This link shows nothing.</Typography>
    <Typography component="p" sx={{ mt: 1 }}>
      It was taken back, its time is over, or a letter of it is missing. Ask whoever sent it for a new one, or{' '}
      <Link href="/">go to your own garage</Link>.
    </Typography>
  </main>
);
