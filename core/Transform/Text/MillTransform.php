<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

/** A change of text that only a mill can run afterwards: a turned part has no other side to be turned or mirrored to. */
interface MillTransform extends TextTransform
{
}
