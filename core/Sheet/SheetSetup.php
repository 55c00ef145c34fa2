<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** What of a sheet belongs in the setup its program runs in: raw part, tools, material. Machine and offsets are the shop's. */
final class SheetSetup
{
    /** @return array<string, mixed> fields of oak-setup/1 */
    public static function of(Plan $plan): array
    {
        $sheet = $plan->sheet;
        // In each vice stands one.
        $stocks = $sheet->stock === null ? [] : array_map(static fn (string $offset): array => ['workOffset' => $offset] + $sheet->stock, $plan->offsets());

        return array_filter([
            'format' => 'oak-setup/1', 'units' => $sheet->units->value,
            'tools' => array_map(static fn (SheetTool $tool): array => $tool->source, array_values($sheet->tools)),
            'stock' => $stocks[0] ?? null, 'moreStock' => count($stocks) > 1 ? array_slice($stocks, 1) : null,
            'material' => $sheet->material === '' ? null : $sheet->material,
            'clearance' => round($sheet->clearance / $sheet->units->millimetres(), 6),
        ], static fn (mixed $value): bool => $value !== null);
    }
}
