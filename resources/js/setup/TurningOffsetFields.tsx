import { Choice } from '../shared/Choice';
import { NumberField } from '../shared/NumberField';
import { turningOffsetOf, withTurningOffset, type SetupDocument, type TurningFigure } from './document';
import type { Fields } from './fields';

/** Heads of the columns below, behind those of the tool itself. */
export const TURNING_HEADS = ['X Ø', 'Wear', 'Z', 'Wear', 'R', 'Tip'];

/** Where the tip stands, seen from the middle of the nose. */
const TIPS: [string, string][] = [
    ['0', '–'], ['1', '1'], ['2', '2 bore'], ['3', '3 outside'], ['4', '4'], ['5', '5'], ['6', '6'], ['7', '7 face'], ['8', '8 groove'], ['9', '9'],
];

/** The offset of a lathe's tool under its own number: X, Z and nose with their wear, and the quadrant of the tip. */
export function TurningOffsetFields(
    { number, document, fields, onDocument }: {
        number: number;
        document: SetupDocument;
        fields: Fields;
        onDocument: (next: (document: SetupDocument) => SetupDocument) => void;
    },
) {
    const { unit, mayChange, change, errors } = fields;
    const path = `offsets.T.${number}`;
    const figure = (name: TurningFigure, part: 'geometry' | 'wear') => {
        const value = turningOffsetOf(document, number, name);
        const at = part === 'wear' ? `${path}.${name}.wear` : `${path}.${name}`;
        return (
            <NumberField
                key={at} label={`T${number} ${name} ${part === 'wear' ? 'wear' : 'offset'}`} path={at} unit={unit} value={value[part]}
                readOnly={!mayChange || (part === 'wear' && value.geometry === undefined)} error={errors[at]}
                onChange={(next) => onDocument((now) => withTurningOffset(now, number, name, part, next))}
            />
        );
    };
    return (
        <>
            {figure('X', 'geometry')}
            {figure('X', 'wear')}
            {figure('Z', 'geometry')}
            {figure('Z', 'wear')}
            {figure('R', 'geometry')}
            <Choice
                label={`T${number} tip`} id={`${path}.tip`} value={String(document.offsets?.T?.[String(number)]?.tip ?? 0)} readOnly={!mayChange}
                choices={TIPS} onChange={(tip) => change(`${path}.tip`, Number(tip))}
            />
        </>
    );
}
