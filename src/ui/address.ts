/** An address with what is said in its query; what is empty is left out. */
export function addressOf(path: string, query: Readonly<Record<string, string | null | undefined>>): string {
  const given = new URLSearchParams();
  for (const [name, value] of Object.entries(query)) if (value) given.set(name, value);
  const text = given.toString();
  return text ? `${path}?${text}` : path;
}
