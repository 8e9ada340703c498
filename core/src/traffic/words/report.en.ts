import { showDate, weekdayName, weekdayOf } from '../../hours';
import type { Report, ReportPart } from '../reportOf';

/** The head of a report: what it is of. */
export interface ReportHead {
  readonly title: string;
  /** The days, as people write them. */
  readonly days: string;
}

/** A report as plain text. */
export function writeReportText({ title, days }: ReportHead, { parts }: Report): string {
  const body = parts.map(({ title: question, sentences, table }) =>
    [question.toUpperCase(), ...sentences, ...(table ? ['', ...columns([table.head, ...table.rows])] : [])].join('\n'),
  );
  return `${title}\n${days}\n\n${body.join('\n\n')}\n`;
}

function columns(rows: readonly (readonly string[])[]): readonly string[] {
  const widths = (rows[0] ?? []).map((_, at) => Math.max(...rows.map((row) => row[at]?.length ?? 0)));
  return rows.map((row) =>
    row
      .map((cell, at) => (at === 0 ? cell.padEnd(widths[at] ?? 0) : cell.padStart(widths[at] ?? 0)))
      .join('  ')
      .trimEnd(),
  );
}

const style = {
  body: "margin:0;padding:24px;background:#faf7f0;color:#1c1b18;font-family:'IBM Plex Sans',Helvetica,Arial,sans-serif;font-size:15px;line-height:1.5",
  cell: 'padding:4px 10px;border-bottom:1px solid #ddd6c8;text-align:right;font-size:13px',
  first: 'padding:4px 10px 4px 0;border-bottom:1px solid #ddd6c8;text-align:left;font-size:13px;font-weight:400',
} as const;

/**
 * The same as a page (HTML), as mail programs show it: styles in their places, nothing from elsewhere.
 * @param picture where the picture of the days is found, such as `cid:days`
 */
export function writeReportHtml({ title, days }: ReportHead, report: Report, picture: string): string {
  const alt = report.days
    .map(({ day, reached, message, served, lost }) => {
      const calls = reached + message + served + lost;
      return `${weekdayName(weekdayOf(day))} ${showDate(day)}: ${calls} calls, ${lost} lost`;
    })
    .join('; ');
  const chart = `<p style="margin:16px 0 4px"><img src="${picture}" width="640" height="180" alt="${escaped(alt)}" style="max-width:100%;height:auto;display:block"></p>
<p style="margin:0 0 8px;color:#6b675d;font-size:13px">Calls of each day, from ${escaped(firstAndLast(report))}: dark, somebody answered; light, a message or what they wanted; hatched, lost.</p>`;
  const [first, ...others] = report.parts.map(partHtml);
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escaped(title)}</title></head>
<body style="${style.body}"><div style="max-width:680px">
<h1 style="margin:0;font-size:20px">${escaped(title)}</h1>
<p style="margin:0 0 8px;color:#6b675d">${escaped(days)}</p>
${first ?? ''}
${chart}
${others.join('\n')}
</div></body></html>
`;
}

function firstAndLast({ days }: Report): string {
  const name = (day: number): string => `${weekdayName(weekdayOf(day))} ${showDate(day)}`;
  const [first, last] = [days[0], days.at(-1)];
  return first && last ? `${name(first.day)} to ${name(last.day)}` : '';
}

function partHtml({ title, sentences, table }: ReportPart): string {
  const text = sentences.map((sentence) => `<p style="margin:0 0 4px">${escaped(sentence)}</p>`).join('\n');
  return `<h2 style="margin:20px 0 4px;font-size:15px">${escaped(title)}</h2>
${text}${table ? tableHtml(title, table) : ''}`;
}

function tableHtml(title: string, { head, rows }: NonNullable<ReportPart['table']>): string {
  const cells = (row: readonly string[], tag: 'th' | 'td'): string =>
    row
      .map((cell, at) =>
        at === 0
          ? `<th scope="${tag === 'th' ? 'col' : 'row'}" style="${style.first}">${escaped(cell)}</th>`
          : `<${tag}${tag === 'th' ? ' scope="col"' : ''} style="${style.cell}">${escaped(cell)}</${tag}>`,
      )
      .join('');
  const body = rows.map((row) => `<tr>${cells(row, 'td')}</tr>`).join('\n');
  return `
<table role="table" aria-label="${escaped(title)}" style="border-collapse:collapse;margin-top:8px"><thead><tr>${cells(head, 'th')}</tr></thead>
<tbody>
${body}
</tbody></table>`;
}

function escaped(text: string): string {
  return text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
}
