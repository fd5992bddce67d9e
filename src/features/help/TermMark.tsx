'use client';

import IconButton from '@mui/material/IconButton';
import type { Term } from '@/words/help/terms';
import helpCss from './help.module.css';
import { showHelp } from './shownHelp';

/** Opens what a term means beside the page. */
export const TermMark = ({ term }: { term: Term }) => (
  <IconButton
    aria-label={`What is meant by ${term.replaceAll('-', ' ')}`}
    onClick={() => showHelp({ page: 'terms', term })}
    className={helpCss.mark}
  >
    ?
  </IconButton>
);
