<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Language\Edit;

/** A change of a program's text as a machinist would name it. It changes words and nothing around them. */
interface TextTransform
{
    public function name(): string;

    public function title(): string;

    /** @return list<Field> what it wants to know */
    public function fields(): array;

    /**
     * @param  array<string, string|float|null>  $values  by the name of the field
     * @return list<Edit> in the order of their lines
     *
     * @throws TransformProblem where it cannot be done as asked, with nothing changed
     */
    public function edits(Scope $scope, array $values): array;
}
