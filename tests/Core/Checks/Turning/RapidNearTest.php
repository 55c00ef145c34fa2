<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

const WITH_CLEARANCE = ['clearance' => 2];

LatheCases::raises('turning.rapid-near', [
    'beside the bar' => [LatheCases::READY."G0 X41. Z2.\nZ-10.", 6, 'caution',
        'T1 rapids to 0.500 mm from the raw stock, at Ø41.000 mm, Z −10.000 mm; the clearance is 2.000 mm.', WITH_CLEARANCE,
    ],
    'before the raw face' => [LatheCases::READY."G0 X30. Z2.\nG1 X-0.8 Z2. F0.1", 5, 'caution',
        'T1 rapids to 1.000 mm from the raw stock, at Ø30.000 mm, Z 2.000 mm; the clearance is 2.000 mm.', WITH_CLEARANCE,
    ],
]);

LatheCases::staysQuiet('turning.rapid-near', [
    'the clearance kept, in X on the diameter' => [LatheCases::READY."G0 X42. Z3.\nZ-10.", WITH_CLEARANCE],
    'before a face that is cut' => [LatheCases::READY."G0 X44. Z0.\nG1 X-0.8 F0.1\nG0 X30. Z1.", WITH_CLEARANCE],
    'over what is turned' => [LatheCases::READY."G0 X44. Z0.\nG1 X-0.8 F0.1\nG0 Z3.\nX38.\nG1 Z-20. F0.1\nG0 X44.\nX39. Z-10.", WITH_CLEARANCE],
    'leaving the wall of a cut' => [LatheCases::READY."G0 X44. Z0.\nG1 X-0.8 F0.1\nG0 Z3.\nX38.\nG1 Z-20. F0.1\nG0 X39. Z-19.\nZ3.", WITH_CLEARANCE],
    'in a cycle' => [LatheCases::READY."G0 X44. Z3.\nG90 X38. Z-20. F0.1\nX34.", WITH_CLEARANCE],
    'without a clearance' => [LatheCases::READY."G0 X41. Z2.\nZ-10."],
]);

it('says that without a clearance nobody looked', function (): void {
    expect(LatheCases::gaps(LatheCases::READY."G0 X41. Z2.\nZ-10.\nM30", []))
        ->toContain('No clearance given: how near rapids come to the raw stock was not checked.')
        ->and(LatheCases::gaps(LatheCases::READY."G0 X41. Z2.\nZ-10.\nM30", WITH_CLEARANCE))
        ->not->toContain('No clearance given: how near rapids come to the raw stock was not checked.');
});
