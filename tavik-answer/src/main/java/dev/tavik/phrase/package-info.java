/**
 * Every sentence that verdicts, reasons, assumptions and cautions are made of, as Java methods with
 * typed arguments. Whoever decides calls them; nothing here decides. A class for each kind of
 * sentence: {@code RateVerdicts}, {@code ComparisonVerdicts}, {@code TableVerdicts} and {@code
 * PlanVerdicts} conclude, {@code Reasons} say what a verdict rests on and why, {@code Assumptions}
 * what methods take for granted, and {@code SampleCautions}, {@code TestCautions}, {@code
 * SourceCautions} and {@code DesignCautions} what to be careful of.
 */
@NullMarked
package dev.tavik.phrase;

import org.jspecify.annotations.NullMarked;
