import papa from 'papaparse';
import { LOG_COLUMNS, type LogRow } from '../record';
import { asText } from './cellText';

/** Lines of the log as CSV (RFC 4180, comma, CRLF); what a spreadsheet would run is marked as text. */
export const logCsv = (rows: readonly LogRow[]): string =>
  rows.length === 0
    ? ''
    : `${papa.unparse(
        rows.map((row) =>
          LOG_COLUMNS.map((column) => {
            const cell = row[column] ?? null;
            return typeof cell === 'string' ? asText(cell) : (cell ?? '');
          }),
        ),
        { newline: '\r\n' },
      )}\r\n`;
export const logCsvHead = (): string => `${LOG_COLUMNS.join(',')}\r\n`;
