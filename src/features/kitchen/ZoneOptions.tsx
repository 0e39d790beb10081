/** Time zones to choose from, as words. */
export function ZoneOptions({ zones }: { zones: readonly string[] }) {
  return zones.map((zone) => (
    <option key={zone} value={zone}>
      {zone.replaceAll('_', ' ')}
    </option>
  ));
}
