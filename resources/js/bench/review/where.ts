import type { Finding } from '../../contracts/oak-check-1';

/** Where a finding is, as it begins its sentence: Line 63: */
export function whereOf({ line, program, from }: Pick<Finding, 'line' | 'program' | 'from'>): string {
    return program === undefined ? `Line ${line}:` : `Line ${line} of ${program}, called from line ${from ?? 0}:`;
}
