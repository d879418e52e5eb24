import { readFileSync } from 'node:fs';
import { findingRecord, judgeSite } from '../server/files/judge-site';
import { readSiteFile } from '../server/files/site-file';
import { openingSettles } from '../core/rulebook/assess';
import { GRADES, type EntryStatus, type Grade } from '../core/record/types';

/** `judge SITE.json [grade]`: one finding per line as JSON, then one line per entry with its status. */
function main(): number {
  const [file, grade] = process.argv.slice(2);
  if (!file || (grade !== undefined && !GRADES.includes(grade as Grade))) {
    console.error('Usage: npm run --silent judge -- SITE.json [visual|close|detailed]');
    return 2;
  }
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (error) {
    console.error(`${file} cannot be read (${(error as NodeJS.ErrnoException).code}).`);
    return 2;
  }
  const read = readSiteFile(text);
  if ('faults' in read) {
    for (const { field, message } of read.faults) console.error(`${file}: ${field} ${message}`);
    return 2;
  }
  const judged = judgeSite(read.slice, read.file.site.id, read.file.exportedAt, (grade as Grade) ?? null);
  const lines: string[] = [];
  for (const entry of judged) {
    for (const finding of entry.findings) lines.push(JSON.stringify(findingRecord(entry, finding)));
  }
  for (const { entry, dossier, status } of judged) {
    const { state, grade: asked, at, counts, held } = status;
    const enclosure = dossier.enclosure.tag;
    const opening = openingSettles(dossier, asked, read.file.exportedAt).map(({ check }) => check);
    lines.push(
      JSON.stringify({
        entry: entry.id,
        enclosure,
        label: entry.label,
        status: state,
        grade: asked,
        at,
        counts,
        sealed: sealedOf(status),
        held,
        broken_seals: dossier.broken,
        opening_settles: opening,
      }),
    );
  }
  process.stdout.write(lines.map((line) => `${line}\n`).join(''));
  return 0;
}

/** The last sealed state of an entry, which stands beside a running round; null before the first. */
const sealedOf = ({ sealed_state: status, sealed_grade: grade, sealed_at: at }: EntryStatus) =>
  status === null ? null : { status, grade, at };

process.exitCode = main();
