import { describe, expect, it } from 'vitest';
import { JoinedSaves, type SavesState } from './JoinedSaves';

/** A server that answers when it is told to. */
function server() {
    const got: string[] = [];
    const answers: { resolve: () => void; reject: (error: Error) => void }[] = [];
    const put = (document: string) => new Promise<void>((resolve, reject) => {
        got.push(document);
        answers.push({ resolve, reject });
    });
    return {
        got,
        put,
        answer: async () => {
            answers.shift()?.resolve();
            await tick();
        },
        refuse: async () => {
            answers.shift()?.reject(new Error('no'));
            await tick();
        },
    };
}

const tick = () => new Promise((resolve) => setTimeout(resolve));

describe('JoinedSaves', () => {
    it('sends one at a time, and joins what is changed meanwhile', async () => {
        const { got, put, answer } = server();
        const told: SavesState[] = [];
        const saves = new JoinedSaves<string>('', put, (state) => told.push(state));
        saves.change('a');
        await tick();
        saves.change('ab');
        saves.change('abc');
        await tick();
        expect(got).toEqual(['a']);
        expect(saves.state.waiting).toBe(3);
        await answer();
        expect(got).toEqual(['a', 'abc']);
        expect(saves.state.waiting).toBe(2);
        await answer();
        expect(saves.state).toEqual({ waiting: 0, refusal: null });
        expect(await saves.settled()).toBe(true);
        expect(told.at(-1)).toEqual({ waiting: 0, refusal: null });
    });

    it('joins changes of one moment, and keeps all of them at hand', async () => {
        const { got, put, answer } = server();
        const saves = new JoinedSaves<string>('', put, () => undefined);
        saves.change(`${saves.current}a`);
        saves.change(`${saves.current}b`);
        await tick();
        expect(got).toEqual(['ab']);
        await answer();
        expect(saves.state.waiting).toBe(0);
    });

    it('counts what was refused as not stored, and sends it with the next change', async () => {
        const { got, put, answer, refuse } = server();
        const saves = new JoinedSaves<string>('', put, () => undefined);
        saves.change('bad');
        await tick();
        await refuse();
        expect(saves.state.waiting).toBe(1);
        expect(saves.state.refusal).toBeInstanceOf(Error);
        expect(await saves.settled()).toBe(false);
        saves.change('good');
        await tick();
        await answer();
        expect(got).toEqual(['bad', 'good']);
        expect(saves.state).toEqual({ waiting: 0, refusal: null });
    });

    it('goes on with what came in while one was refused', async () => {
        const { got, put, answer, refuse } = server();
        const saves = new JoinedSaves<string>('', put, () => undefined);
        saves.change('bad');
        await tick();
        saves.change('mended');
        await refuse();
        expect(got).toEqual(['bad', 'mended']);
        await answer();
        expect(saves.state.waiting).toBe(0);
    });
});
