import paperCss from '@/features/learn/paper.module.css';
import Typography from '@mui/material/Typography';
import TableContainer from '@mui/material/TableContainer';
import { Note } from '@/ui/controls/Note';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import type { Photo } from '@/core/car/records/report';
import type { Block, Report } from '@/words/report/definition';
import { useFileAddress } from '../session/access';

/** A report as a page to read. */
export function ReportPage({ report: { title, subtitle, blocks } }: { report: Report }) {
  return (
    <article className={paperCss.paper} data-testid="report">
      <h1>{title}</h1>
      <Typography color="textSecondary">{subtitle}</Typography>
      {blocks.map((block, at) => (
        <BlockPart key={at} block={block} />
      ))}
    </article>
  );
}

function Photos({ photos }: { photos: readonly Photo[] }) {
  const fileAt = useFileAddress();
  return (
    <div className={paperCss.prints}>
      {photos.map(({ hash, caption }, at) => (
        <figure key={hash}>
          <img src={fileAt(hash)} alt={caption ?? `Photograph ${at + 1}`} loading="lazy" />
          <figcaption>{caption}</figcaption>
        </figure>
      ))}
    </div>
  );
}

function BlockPart({ block }: { block: Block }) {
  switch (block.kind) {
    case 'together':
      return (
        <>
          {block.blocks.map((one, at) => (
            <BlockPart key={at} block={one} />
          ))}
        </>
      );
    case 'heading':
      return block.level === 1 ? <h2>{block.text}</h2> : <h3>{block.text}</h3>;
    case 'text':
      return <Typography color={block.quiet ? 'textSecondary' : 'inherit'}>{block.text}</Typography>;
    case 'list':
      return (
        <ul>
          {block.items.map((item, at) => (
            <li key={at}>{item}</li>
          ))}
        </ul>
      );
    case 'facts':
      return (
        <dl>
          {block.rows.map(([label, value], at) => (
            <div key={at}>
              <dt>{label}</dt>
              <dd>{value}</dd>
            </div>
          ))}
        </dl>
      );
    case 'caution':
      return <Note>{block.text}</Note>;
    case 'picture':
      return (
        <figure>
          <div
            role="img"
            aria-label={block.picture.caption}
            dangerouslySetInnerHTML={{ __html: block.picture.svg }}
          />
          <figcaption>{block.picture.caption}</figcaption>
        </figure>
      );
    case 'photos':
      return <Photos photos={block.photos} />;
    case 'table':
      return (
        <TableContainer>
          <Table size="small">
            <TableHead>
              <TableRow>
                {block.head.map((text, column) => (
                  <TableCell key={column} align={block.numbers?.includes(column) ? 'right' : 'left'}>
                    {text}
                  </TableCell>
                ))}
              </TableRow>
            </TableHead>
            <TableBody>
              {block.rows.map((row, at) => (
                <TableRow key={at}>
                  {row.map((text, column) => (
                    <TableCell key={column} align={block.numbers?.includes(column) ? 'right' : 'left'}>
                      {text}
                    </TableCell>
                  ))}
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </TableContainer>
      );
  }
}
