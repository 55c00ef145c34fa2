import { short } from '../shared/numbers';
import type { Motion, Scene } from './answer';

/** The feed of a row at its end: by the minute, and on a lathe by the turn and at which speed. */
export function feedWords({ feed, rpm }: Pick<Motion, 'feed' | 'rpm'>, row: number, { units }: Pick<Scene, 'units'>): string {
    const unit = units === 'mm' ? 'mm' : 'in';
    const perMinute = feed[row] ?? 0;
    const minute = `${short(perMinute, units === 'mm' ? 1 : 2)} ${unit}/min`;
    const turns = rpm?.[row] ?? 0;
    if (turns === 0) return minute;
    return `${(perMinute / turns).toFixed(units === 'mm' ? 3 : 4)} ${unit}/rev, ${minute} at ${turns.toFixed(0)} rev/min`;
}
