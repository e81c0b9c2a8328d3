/** One practice motor as the server lists it. */
export interface ResultLine {
  readonly id: string;
  readonly at: string;
  readonly family: string;
  readonly fault: string;
  readonly leadCount: number;
  readonly leadsRight: number;
  readonly isRight: boolean;
  readonly readingsTaken: number;
  readonly readingsNeeded: number;
}
