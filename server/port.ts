const usualPort = 4173;

/**
 * The port asked for.
 *
 * @param said what stands in PORT, if anything
 * @returns its number, 0 for any free one, or in one line why that is no port
 */
export function portWanted(said: string | undefined): number | string {
  if (said === undefined || said.trim() === '') return usualPort;
  const port = Number(said);
  if (!/^\d{1,5}$/.test(said.trim()) || port > 65535)
    return `PORT=${said.replace(/[^\x20-\x7e]/g, '?').slice(0, 40)}: a port is a whole number from 1 to 65535, for example PORT=8080 npm start`;
  return port;
}
