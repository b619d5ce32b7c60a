<?php

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setParallelConfig(PhpCsFixer\Runner\Parallel\ParallelConfigFactory::detect())
    ->setCacheFile(__DIR__ . '/var/php-cs-fixer.cache')
    ->setRules([
        '@Symfony' => true,
        '@PHP82Migration' => true,
        'declare_strict_types' => false,
        'single_line_throw' => false,
        'phpdoc_to_comment' => false,
        'phpdoc_align' => false,
        'yoda_style' => ['equal' => false, 'identical' => false, 'less_and_greater' => false],
        'increment_style' => ['style' => 'pre'],
        'global_namespace_import' => false,
        'concat_space' => ['spacing' => 'one'],
        // Layout is Prettier's: what these rules would undo of it is left out.
        'function_declaration' => ['closure_fn_spacing' => 'none'],
        'operator_linebreak' => false,
        'method_argument_space' => false,
        'statement_indentation' => false,
        'types_spaces' => false,
        'no_unneeded_control_parentheses' => false,
        'single_line_empty_body' => true,
        'integer_literal_case' => false,
        'single_space_around_construct' => false,
        'space_after_semicolon' => false,
        'no_multiline_whitespace_around_double_arrow' => false,
        'ordered_imports' => ['sort_algorithm' => 'alpha'],
        'trailing_comma_in_multiline' => ['elements' => ['arrays', 'arguments', 'parameters', 'match']],
    ])
    ->setFinder(
        PhpCsFixer\Finder::create()
            ->in(['app', 'bootstrap', 'config', 'core', 'database', 'routes', 'tests'])
            ->exclude('cache'),
    );
