import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Fold } from '@/ui/controls/Fold';
import { Select } from '@/ui/controls/Select';
import type { LogRoles } from '@/core/physics/logs/logRead';
import { LOG_ROLES, type LogRole } from '@/core/physics/logs/roles';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { LOG_ROLE_NAMES } from '@/words/bench/logWords';
import type { LogAnswer } from '@/workers/logs';

/** Under which a column's meaning is worth a look. */
const UNSURE = 0.6;

/** What each column was taken for; what is wrong is set right here. */
export function LogColumns({
  answer: { seen },
  roles,
  onRoles,
}: {
  answer: LogAnswer;
  roles: LogRoles | undefined;
  onRoles(roles: LogRoles): void;
}) {
  const { reader } = useReader();
  const { columns } = seen.summary;
  const unsure = columns.filter(({ role, confidence = 1 }) => role && confidence < UNSURE).length;
  const known = columns.filter(({ role }) => role).length;
  const give = (name: string, role: LogRole | '') => {
    const said = Object.fromEntries(
      columns.flatMap((column) =>
        column.role && column.name !== name && column.role !== role ? [[column.role, column.name]] : [],
      ),
    );
    onRoles({ ...said, ...(role === '' ? {} : { [role]: name }) });
  };
  return (
    <Fold
      title={`Columns: ${known} of ${columns.length} known${unsure > 0 ? `, ${unsure} unsure` : ''}${roles ? ', as you set them' : ''}`}
      open={unsure > 0}
    >
      <TableContainer>
        <Table size="small" aria-label="Columns of the log">
          <TableHead>
            <TableRow>
              <TableCell>Column</TableCell>
              <TableCell>Unit</TableCell>
              <TableCell>Taken for</TableCell>
              <TableCell align="right">sure by</TableCell>
              <TableCell align="right">From</TableCell>
              <TableCell align="right">to</TableCell>
              <TableCell align="right">Missing</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {columns.map(({ name, unit, role, confidence, min, max, missing }) => (
              <TableRow key={name}>
                <TableCell>{name}</TableCell>
                <TableCell>{unit ?? ''}</TableCell>
                <TableCell>
                  <Select
                    aria-label={`What ${name} is`}
                    value={role ?? ''}
                    onChange={(event) => give(name, event.target.value as LogRole | '')}
                  >
                    <option value="">nothing of these</option>
                    {LOG_ROLES.map((one) => (
                      <option key={one} value={one}>
                        {LOG_ROLE_NAMES[one]}
                      </option>
                    ))}
                  </Select>
                </TableCell>
                <TableCell align="right">
                  {confidence === undefined ? '' : formatText(confidence, 'share', reader, 2)}
                </TableCell>
                <TableCell align="right">
                  {min === undefined ? '' : formatNumber(min, reader.locale, 4)}
                </TableCell>
                <TableCell align="right">
                  {max === undefined ? '' : formatNumber(max, reader.locale, 4)}
                </TableCell>
                <TableCell align="right">
                  {missing === 0 ? '' : formatNumber(missing, reader.locale, 6)}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </TableContainer>
    </Fold>
  );
}
