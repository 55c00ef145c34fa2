import { short } from '../shared/numbers';
import { ARC, CUT_KNOWN, INTO_CENTRE, RAPID, type Motion, type Scene } from './answer';

/** Figures more after the point of a small volume, mm³: those of a watch part are. */
const finer = (volume: number): number => (volume >= 100 ? 0 : volume >= 1 ? 2 : 4);

/** What a row takes off the stock, in words; null where nothing is known of it. */
export function cutWords(motion: Motion, row: number, scene: Pick<Scene, 'units' | 'decimals'>): string | null {
    const { cuts } = motion;
    const kind = motion.kind[row] ?? 0;
    if (cuts === null || kind > ARC || ((cuts.marks[row] ?? 0) & CUT_KNOWN) === 0) return null;
    const volume = cuts.volume[row] ?? 0;
    if (volume <= 0) return kind === RAPID ? null : 'nothing: in air';
    const [unit, decimals] = scene.units === 'mm' ? ['mm', 1] : ['in', 3];
    const words = [`${short(cuts.depth[row] ?? 0, scene.decimals)} ${unit} deep`];
    if ((cuts.width[row] ?? 0) > 0) words.push(`${short(cuts.width[row] ?? 0, decimals)} ${unit} wide`);
    if ((cuts.angle[row] ?? 0) > 0) words.push(`over ${Math.round(cuts.angle[row] ?? 0)}°`);
    words.push(`${short(volume, (scene.units === 'mm' ? 0 : 3) + finer(volume * (scene.units === 'mm' ? 1 : 25.4 ** 3)))} ${unit}³`);
    const [power, chip] = [cuts.power[row] ?? NaN, cuts.chip[row] ?? NaN];
    if (power > 0) words.push(`about ${short(power, 2)} ${scene.units === 'mm' ? 'kW' : 'hp'}`);
    if (chip > 0) words.push(`chips of ${short(chip, scene.units === 'mm' ? 3 : 4)} ${unit}`);
    const air = cuts.air[row] ?? 0;
    if (air >= 5 && air < 100) words.push(`${air} % of the way in air`);
    if (((cuts.marks[row] ?? 0) & INTO_CENTRE) !== 0) words.push('its centre in material');
    return words.join(', ');
}
