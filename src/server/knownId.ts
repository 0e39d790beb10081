const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i;

/** An id out of an address, before it reaches a query: whatever is no id is simply not found. */
export const knownId = (id: string): string | null => (UUID.test(id) ? id.toLowerCase() : null);
