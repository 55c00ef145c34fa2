/** Hands a file to the browser to be kept. */
export function keepFile(name: string, type: string, content: string | ArrayBuffer): void {
    const address = URL.createObjectURL(new Blob([content], { type }));
    const link = document.createElement('a');
    link.href = address;
    link.download = name;
    link.click();
    setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
