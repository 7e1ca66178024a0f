/** The time the processor has spent since, in ms: what other programs take of a busy machine is not in it. */
export function cpuTime(since: NodeJS.CpuUsage): number {
  const { user, system } = process.cpuUsage(since);
  return (user + system) / 1000;
}
