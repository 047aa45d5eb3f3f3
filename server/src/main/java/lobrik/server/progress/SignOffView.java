package lobrik.server.progress;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lobrik.progress.SignOffRule;
import org.jspecify.annotations.Nullable;

/**
 * A signature as it is shown.
 *
 * @param met whether the rule was met; else the remark says why it was signed all the same
 * @param changed pieces of the evidence that have come to something else since
 * @param against what the last pieces say against it; it stands until somebody withdraws it
 * @param withdrawal if it no longer counts
 */
public record SignOffView(
        UUID id,
        String family,
        String signedBy,
        Instant signedAt,
        boolean met,
        String remark,
        SignOffFigures rule,
        List<SignOff.Evidence> evidence,
        List<UUID> changed,
        SignOffRule.@Nullable Against against,
        @Nullable WithdrawalView withdrawal) {

    /** Who withdrew it, when and why. */
    public record WithdrawalView(String by, Instant at, String reason) {}

    static SignOffView of(SignOffs.Signed signed) {
        SignOff signature = signed.signature();
        return new SignOffView(
                signature.id(),
                signature.family(),
                signature.signedName(),
                signature.signedAt(),
                signature.isMet(),
                signature.remark(),
                signature.rule(),
                signature.evidence(),
                signed.changed(),
                signed.against().orElse(null),
                signed.withdrawal()
                        .map(each -> new WithdrawalView(each.withdrawnName(), each.withdrawnAt(), each.reason()))
                        .orElse(null));
    }
}
