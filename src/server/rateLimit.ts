/** Writes per second that a busy bench with a few tablets never reaches; a program gone wild does. */
const PER_SECOND = 60;
const BURST = 240;

let tokens = BURST;
let filledAtMs = 0;

/** A token bucket for the whole process. @returns false when the caller should wait */
export function takeToken(nowMs: number = performance.now()): boolean {
  tokens = Math.min(BURST, tokens + ((nowMs - filledAtMs) / 1000) * PER_SECOND);
  filledAtMs = nowMs;
  if (tokens < 1) return false;
  tokens -= 1;
  return true;
}
