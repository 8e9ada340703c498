import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { flawed, flaws, officeOf } from '../testing/flaws';
import { soundSubject } from '../testing/soundOffice';
import { adviseOn, consequences, consequenceWords, gradeWords, proof, whyItMatters } from '.';
import { rules } from './rules';

const page = join(__dirname, '../../../docs/proof.md');
const marks = {
  begin: '<!-- rules: made by core/src/proof/docs.spec.ts; run it with WRITE_DOCS=1 -->',
  end: '<!-- end -->',
};

/** A row for each rule: its grade, an example of what it says, why it matters, what to do. */
function table(): string {
  return consequences
    .map((consequence) => {
      const rows = rules
        .filter((rule) => rule.consequence === consequence)
        .map(({ name, grade }) => {
          const subject = soundSubject(flawed(name), officeOf(name, soundSubject()));
          const finding = proof(subject).find(({ rule }) => rule === name);
          const mends = finding?.fix ? ' Mended in a click.' : '';
          return `| \`${name}\` | ${gradeWords[grade]} | ${flaws[name].says} | ${whyItMatters(name)} | ${finding ? adviseOn(finding) : ''}${mends} |`;
        });
      return [
        `### ${consequenceWords[consequence]}`,
        '',
        '| rule | grade | for example | why it matters | what to do |',
        '|---|---|---|---|---|',
        ...rows,
        '',
      ].join('\n');
    })
    .join('\n');
}

it('is described in docs/proof.md, rule by rule', () => {
  const text = readFileSync(page, 'utf8');
  const [before = '', rest = ''] = text.split(marks.begin);
  const [, after = ''] = rest.split(marks.end);
  const made = `${before}${marks.begin}\n\n${table()}\n${marks.end}${after}`;
  if (process.env.WRITE_DOCS) writeFileSync(page, made);
  else expect(text).toBe(made);
});
