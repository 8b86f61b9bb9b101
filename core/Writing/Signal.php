<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * A measured property of writing. None says who or what wrote a text; each says how it compares with trusted texts.
 */
enum Signal: string
{
    /** Words a sentence, mean. */
    case SentenceLength = 'sentence-length';

    /** Standard deviation of words a sentence, divided by their mean (coefficient of variation). */
    case SentenceVariation = 'sentence-length-variation';

    /**
     * Moving-average type-token ratio, window of 100 words: M. Covington, J. McFall, Journal of Quantitative
     * Linguistics 17, 2010.
     */
    case WordVariety = 'word-variety';

    /** MTLD, threshold 0.72, forward and backward: P. McCarthy, S. Jarvis, Behavior Research Methods 42, 2010. */
    case LexicalDiversity = 'lexical-diversity';

    /**
     * Mean absolute z-score of the 100 most frequent words, against the other texts: the distance of J. Burrows,
     * Literary and Linguistic Computing 17, 2002, from the middle of the baseline.
     */
    case FunctionWords = 'function-words';

    /** Bits a word under an interpolated Kneser-Ney bigram model of the other texts: R. Kneser, H. Ney, ICASSP 1995. */
    case Predictability = 'predictability';

    /** Standard deviation over sentences of the bits a word. */
    case PredictabilityVariation = 'predictability-variation';

    /** Stock connectives and phrases, in 1,000 words; English only. The list is our own. */
    case StockPhrases = 'stock-phrases';

    /**
     * Of each sentence, whether one of the nine before it opens with the same word; the share of sentences. Our own.
     */
    case RepeatedOpenings = 'repeated-openings';

    /** Standard deviation of words a paragraph, divided by their mean. */
    case ParagraphVariation = 'paragraph-length-variation';

    /** Commas, in 100 words. */
    case Commas = 'commas';

    /** Semicolons, colons, dashes, brackets, question and exclamation marks, in 100 words. */
    case OtherMarks = 'other-marks';

    /** Reading ease: R. Flesch, Journal of Applied Psychology 32, 1948; made for English. */
    case ReadingEase = 'reading-ease';

    /** Digits after the point when it is printed. */
    public function decimals(): int
    {
        return match ($this) {
            self::SentenceLength, self::LexicalDiversity, self::StockPhrases, self::ReadingEase => 1,
            default => 2,
        };
    }

    public function unit(): string
    {
        return match ($this) {
            self::SentenceLength => 'words a sentence',
            self::Predictability, self::PredictabilityVariation => 'bits a word',
            self::StockPhrases => 'in 1,000 words',
            self::Commas, self::OtherMarks => 'in 100 words',
            default => '',
        };
    }

    /** "sentences vary less", of a value below or above others. */
    public function compared(bool $more): string
    {
        return match ($this) {
            self::SentenceLength => $more ? 'sentences are longer' : 'sentences are shorter',
            self::SentenceVariation => $more
                ? 'the length of sentences varies more'
                : 'the length of sentences varies less',
            self::WordVariety => $more ? 'words are repeated less nearby' : 'words are repeated more nearby',
            self::LexicalDiversity => $more ? 'new words keep coming for longer' : 'words come back sooner',
            self::FunctionWords => $more
                ? 'small words are used in other proportions'
                : 'small words are used in more usual proportions',
            self::Predictability => $more ? 'the next word is harder to guess' : 'the next word is easier to guess',
            self::PredictabilityVariation => $more
                ? 'plain and surprising sentences alternate more'
                : 'sentences are more alike in how easily they are guessed',
            self::StockPhrases => $more ? 'there are more stock phrases' : 'there are fewer stock phrases',
            self::RepeatedOpenings => $more ? 'sentences open alike more often' : 'sentences open alike less often',
            self::ParagraphVariation => $more
                ? 'paragraphs differ more in length'
                : 'paragraphs are more alike in length',
            self::Commas => $more ? 'there are more commas' : 'there are fewer commas',
            self::OtherMarks => $more ? 'there are more other marks' : 'there are fewer other marks',
            self::ReadingEase => $more ? 'it is easier to read' : 'it is harder to read',
        };
    }

    /** What the number is, for someone who opens its working. */
    public function explained(): string
    {
        return match ($this) {
            self::SentenceLength => 'Words divided by sentences.',
            self::SentenceVariation => 'Standard deviation of the words in a sentence, divided by their mean. 0: all sentences are equally long.',
            self::WordVariety => 'Of every 100 words in a row, the share that differ, on average over the text (moving-average type-token ratio). It does not depend on the length of the text.',
            self::LexicalDiversity => 'How many words in a row, on average, until fewer than 72 in 100 of them differ (MTLD), read forwards and backwards.',
            self::FunctionWords => 'How far the frequencies of the 100 commonest words lie from those of the other texts: the mean of how many standard deviations each is away.',
            self::Predictability => 'How surprising each word is after the one before it, in bits, under a model of two words in a row learnt from the other texts. Fewer bits: easier to guess. A topic of its own makes it harder.',
            self::PredictabilityVariation => 'How much that differs from sentence to sentence (standard deviation).',
            self::StockPhrases => 'Connectives and set phrases from a list of ours, in 1,000 words. English only.',
            self::RepeatedOpenings => 'The share of sentences that open with a word with which one of the nine before it opens.',
            self::ParagraphVariation => 'Standard deviation of the words in a paragraph, divided by their mean. From three paragraphs on.',
            self::Commas => 'Commas in 100 words.',
            self::OtherMarks => 'Semicolons, colons, dashes, brackets, question and exclamation marks in 100 words.',
            self::ReadingEase => '206.835 − 1.015 × words a sentence − 84.6 × syllables a word. Higher is easier; made for English.',
        };
    }
}
