'use client';

import { styled } from '@mui/material/styles';
import visuallyHidden from '@mui/utils/visuallyHidden';

/** Read out, not seen. */
export const Hidden = styled('span')(visuallyHidden);
