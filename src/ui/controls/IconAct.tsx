'use client';

import Close from '@mui/icons-material/Close';
import ContentCopyOutlined from '@mui/icons-material/ContentCopyOutlined';
import DeleteOutlined from '@mui/icons-material/DeleteOutlined';
import EditOutlined from '@mui/icons-material/EditOutlined';
import IconButton from '@mui/material/IconButton';
import Tooltip from '@mui/material/Tooltip';
import type { SxProps, Theme } from '@mui/material/styles';

const ICONS = {
  takeOut: Close,
  remove: DeleteOutlined,
  edit: EditOutlined,
  copy: ContentCopyOutlined,
} as const;

interface IconActProps {
  icon: keyof typeof ICONS;
  /** What it does, and with what. */
  label: string;
  disabled?: boolean;
  sx?: SxProps<Theme>;
  onClick(): void;
}

/** An act as an icon, which says its name under the pointer. */
export function IconAct({ icon, label, disabled = false, ...rest }: IconActProps) {
  'use memo';
  const Icon = ICONS[icon];
  const button = (
    <IconButton aria-label={label} disabled={disabled} {...rest}>
      <Icon sx={{ fontSize: 17 }} />
    </IconButton>
  );
  // a tooltip cannot listen to what is disabled
  return disabled ? button : <Tooltip title={label}>{button}</Tooltip>;
}
