/** Calls along at most once in so many milliseconds, and with what was given last in the end. */
export function throttle<Given extends unknown[]>(call: (...given: Given) => void, milliseconds: number): (...given: Given) => void {
    let waiting: Given | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const go = () => {
        timer = undefined;
        if (waiting === null) return;
        const given = waiting;
        waiting = null;
        timer = setTimeout(go, milliseconds);
        call(...given);
    };
    return (...given) => {
        waiting = given;
        if (timer === undefined) go();
    };
}
