/** Calls once nothing has been asked for so many milliseconds, with what was given last; `flush` does so at once where it still waits. */
export function afterPause<Given extends unknown[]>(
    call: (...given: Given) => void, milliseconds: number,
): ((...given: Given) => void) & { flush: () => void; isWaiting: () => boolean } {
    let waiting: Given | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const flush = () => {
        clearTimeout(timer);
        if (waiting === null) return;
        const given = waiting;
        waiting = null;
        call(...given);
    };
    return Object.assign((...given: Given) => {
        waiting = given;
        clearTimeout(timer);
        timer = setTimeout(flush, milliseconds);
    }, { flush, isWaiting: () => waiting !== null });
}
