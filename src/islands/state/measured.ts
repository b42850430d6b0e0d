/** Where a device keeps what of a job is being measured. */
export const measuredKey = (jobId: number): string => `measure:${jobId}`;
