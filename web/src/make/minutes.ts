/** What rounds to no minute. */
function isUnderAMinute(seconds: number): boolean {
  return seconds < 45;
}

/** A stretch of time as one would say it at the table: `under a minute`, `6 min`, `1 h 20 min`. */
export function minutesInWords(seconds: number): string {
  if (isUnderAMinute(seconds)) return 'under a minute';
  const minutes = Math.round(seconds / 60);
  if (minutes < 60) return `${minutes} min`;
  const rest = minutes % 60;
  return rest === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${rest} min`;
}

/** How long is left, at the head of the work: `under a minute left`, `about 6 min left`. */
export function timeLeftInWords(seconds: number): string {
  const words = `${minutesInWords(seconds)} left`;
  return isUnderAMinute(seconds) ? words : `about ${words}`;
}
