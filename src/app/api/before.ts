/** The revision a page of revisions ends before, as the address says it; null: from the newest on. */
export function beforeOf(request: Request): number | null {
  const before = Number(new URL(request.url).searchParams.get('before') ?? Number.NaN);
  return Number.isInteger(before) && before > 0 && before < 2 ** 31 ? before : null;
}
