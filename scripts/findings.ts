import { writeDocTable } from './docTable';

/** A table of Markdown, its columns as wide as they have to be. */
export function markdownTable(head: readonly string[], rows: readonly (readonly string[])[]): string {
  const widths = head.map((cell, column) =>
    Math.max(cell.length, 3, ...rows.map((row) => row[column]?.length ?? 0)),
  );
  const line = (cells: readonly string[]) =>
    `| ${widths.map((width, column) => (cells[column] ?? '').padEnd(width)).join(' | ')} |`;
  return [line(head), line(widths.map((width) => '-'.repeat(width))), ...rows.map(line)].join('\n');
}

/** What a bench finds: printed as it comes, and at the end written as a table of docs/architecture.md. */
export class Findings {
  private readonly rows: string[][] = [];

  constructor(private readonly head: readonly string[]) {}

  add(...cells: string[]): void {
    this.rows.push(cells);
    console.log(cells.map((cell, index) => (index === 0 ? cell.padEnd(82) : cell)).join('  '));
  }

  async write(name: string): Promise<void> {
    await writeDocTable('docs/architecture.md', name, markdownTable(this.head, this.rows));
    console.log('The table of docs/architecture.md is written anew.');
  }
}
