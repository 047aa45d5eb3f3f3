package lobrik.server.calc;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import lobrik.bend.Bend;
import lobrik.exercise.Variants;
import lobrik.fault.Refused;
import lobrik.wire.BendInput;
import lobrik.wire.DealtVariant;
import lobrik.wire.LayoutAnswer;
import lobrik.wire.LayoutRequest;
import lobrik.wire.Question;
import lobrik.wire.VariationInput;
import org.springframework.stereotype.Component;

/** Definitions laid out, remembered: a class measures the same few exercises all morning. */
@Component
public final class Calculations {

    private static final long MOST_REMEMBERED = 500;

    private final Cache<LayoutRequest, Question> questions =
            Caffeine.newBuilder().maximumSize(MOST_REMEMBERED).build();

    /** By the very question that was remembered. */
    private final Cache<Question, LayoutAnswer> plans =
            Caffeine.newBuilder().weakKeys().build();

    /**
     * Translates a definition and lays it out.
     *
     * @throws Refused if it is bad or impossible
     */
    public Question question(LayoutRequest request) {
        return questions.get(request, Question::of);
    }

    /** A question's answer as the interface writes it. */
    public LayoutAnswer plan(Question question) {
        return plans.get(question, Question::plan);
    }

    /**
     * A definition with everything said that it leaves to what is usual, as whoever opens it wants to see it. One that is bad
     * or impossible stays as it is.
     */
    public LayoutRequest completed(LayoutRequest request) {
        try {
            Bend bend = question(request).layout().job().bend();
            return request.with(BendInput.of(bend)).withPlaceSaid();
        } catch (Refused notLikeThat) {
            return request;
        }
    }

    /**
     * Checks that a variation has variants for a small class.
     *
     * @throws Refused if its ranges are bad or hold too little
     */
    public void requireVariation(LayoutRequest request, VariationInput variation) {
        var _ = DealtVariant.deal(request, variation, Variants.NEIGHBOURS + 1);
    }
}
