/**
 * Questions in words. A {@link dev.tavik.data.study.StudyFile} holds questions; a {@link
 * dev.tavik.data.study.QuestionArguments} is one question as options or keys wrote it; {@link
 * dev.tavik.data.study.QuestionKind} makes the question.
 */
@NullMarked
package dev.tavik.data.study;

import org.jspecify.annotations.NullMarked;
