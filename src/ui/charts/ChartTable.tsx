import chartsCss from '@/ui/charts/charts.module.css';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { type ChartProps, type ChartLine } from './chartProps';

const TABLE_ROWS = 12;

export function ChartTable({
  lines,
  limit,
  xSymbol,
  ySymbol,
  shownX,
  shownY,
  xMin = 0,
  xMax,
}: ChartProps & { xSymbol: string; ySymbol: string; shownX(v: number): string; shownY(v: number): string }) {
  const all = [...lines, ...(limit ? [limit] : [])];
  const rows = Array.from({ length: TABLE_ROWS + 1 }, (_, i) => xMin + ((xMax - xMin) * i) / TABLE_ROWS);
  const at = ({ xs, ys }: ChartLine, value: number) => {
    const next = xs.findIndex((one) => one >= value);
    if (next < 0) return undefined;
    if (next === 0) return ys[0];
    const share = (value - xs[next - 1]!) / (xs[next]! - xs[next - 1]! || 1);
    return ys[next - 1]! + share * (ys[next]! - ys[next - 1]!);
  };
  return (
    <div className={chartsCss.tablebox}>
      <Table size="small" className={chartsCss.tableview}>
        <TableHead>
          <TableRow>
            <TableCell>{xSymbol}</TableCell>
            {all.map((line) => (
              <TableCell key={line.id}>
                {line.label}, {ySymbol}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map((value) => (
            <TableRow key={value}>
              <TableCell>{shownX(value)}</TableCell>
              {all.map((line) => {
                const found = at(line, value);
                return <TableCell key={line.id}>{found === undefined ? '' : shownY(found)}</TableCell>;
              })}
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </div>
  );
}
