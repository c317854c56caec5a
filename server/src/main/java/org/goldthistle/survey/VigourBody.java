package org.goldthistle.survey;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.vigour.CrownClass;
import org.goldthistle.core.vigour.Damage;
import org.goldthistle.core.vigour.StemForm;
import org.goldthistle.core.vigour.Vigour;
import org.springframework.lang.Nullable;

/**
 * How a tree does, as it is entered; what was not looked at is null.
 *
 * @param leaders lengths of the last leaders in mm, the youngest first
 * @param dieback of the crown, 0 (none) to 4 (nearly all)
 * @param crown where it stands among its neighbours'
 * @param form how the stem grows
 * @param damages what it has suffered
 * @param dead whether it is
 */
public record VigourBody(
        @Nullable @Size(max = 3) List<@NotNull Integer> leaders,

        @Nullable @Schema(minimum = "0", maximum = "4") Integer dieback,

        @Nullable @CodeOf(CrownClass.class) String crown,
        @Nullable @CodeOf(StemForm.class) String form,
        @Nullable @CodeOf(Damage.class) List<@NotNull String> damages,
        boolean dead) {

    /** @throws org.goldthistle.core.RefusedException with everything that cannot be true */
    public Vigour toVigour() {
        var refusals = new Refusals();
        Set<Damage> suffered = EnumSet.noneOf(Damage.class);
        for (String code : damages == null ? List.<String>of() : damages) {
            one(refusals, "damages", code, Damage.values()).ifPresent(suffered::add);
        }
        Optional<CrownClass> crownClass = one(refusals, "crown", crown, CrownClass.values());
        Optional<StemForm> stemForm = one(refusals, "form", form, StemForm.values());
        refusals.throwIfAny();
        return new Vigour(
                leaders == null ? List.of() : leaders,
                dieback == null ? OptionalInt.empty() : OptionalInt.of(dieback),
                crownClass,
                stemForm,
                suffered,
                dead);
    }

    private static <T extends Coded> Optional<T> one(Refusals refusals, String key, @Nullable String code, T[] all) {
        Optional<T> found = Coded.find(all, code);
        refusals.require(code == null || found.isPresent(), key, code, Coded.codes(all));
        return found;
    }

    /** The same; null where it says nothing. */
    public @Nullable VigourBody orNull() {
        boolean nothing = (leaders == null || leaders.isEmpty())
                && dieback == null
                && crown == null
                && form == null
                && (damages == null || damages.isEmpty())
                && !dead;
        return nothing ? null : this;
    }
}
