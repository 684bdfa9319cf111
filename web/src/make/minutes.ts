/** A stretch of time as one would say it at the table: `under a minute`, `6 min`, `1 h 20 min`. */
export function minutesInWords(seconds: number): string {
  if (seconds < 45) return 'under a minute';
  const minutes = Math.round(seconds / 60);
  if (minutes < 60) return `${minutes} min`;
  const rest = minutes % 60;
  return rest === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${rest} min`;
}
