export class RoleProblem extends Error {}
export function plainUrlOf(ownerUrl: string): string
export function addressesOf(
  databaseUrl: string | undefined,
  databaseOwnerUrl?: string,
): Promise<{ plainUrl: string; ownerUrl: string | null }>
export function letIn(ownerUrl: string, plainUrl: string): Promise<void>
