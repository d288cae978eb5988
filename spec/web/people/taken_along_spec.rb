# frozen_string_literal: true

RSpec.describe "Inquiries made before somebody signed in", :client do
  include SmallWard
  include Ward

  def app = @app ||= Hobrin::Server.app(context, home:, shared: { required:, post: outbox })
  def standing = context.standings.of(1)

  before do
    people
    context.standings.put(1, ward_id: nil, owner_id: nil)
  end

  context "where nobody has to sign in" do
    def required = false

    it "are told of where one looks for them, and are taken along in one press" do
      expect(visit_page("/inquiries/1/ask").status).to eq(200)
      visit_page("/")
      expect(last_response.body).not_to include("Take them along")
      sign_in(:owner)
      expect([visit_page("/inquiries/1/ask").status, last_response.body]).to match([403, /made before you signed in/])
      expect([visit_page("/inquiries/99/ask").status, last_response.body]).to match([404, /may have been deleted/])
      expect(visit_page("/").body).to include("1 inquiry was", "Move them to your ward")
      expect(send_form("/taken-along").status).to eq(303)
      expect([standing.owner_id, standing.ward_id]).to eq([people[:owner], wards[:first].id])
      expect(visit_page("/inquiries/1/ask").status).to eq(200)
      expect(visit_page("/").body).not_to include("Take them along")
      sign_in(:stranger)
      expect(visit_page("/inquiries/1/ask").status).to eq(404)
    end
  end

  context "where everybody signs in" do
    def required = true

    it "are told of to nobody, and cannot be taken" do
      sign_in(:owner)
      expect([visit_page("/inquiries/1/ask").status, last_response.body]).to match([404, /may have been deleted/])
      expect(visit_page("/").body).not_to include("Take them along")
      expect(send_form("/taken-along").status).to eq(404)
      expect(standing.owner_id).to be_nil
    end
  end
end
